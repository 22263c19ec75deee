import type { Kept } from '@bradyon/contract/kept';
import type { Opponent, Person } from '@bradyon/core/people';
import type { TeamId } from '@bradyon/core/units';
import { changeKept, defineWrite, request, teamOf, type Answer } from '../../api/index.ts';
import { personLabel } from './words.ts';

/** Puts new rows where the screens look for them; what is there already stays. */
function put<T extends { id: string }>(
  what: string,
  teamId: TeamId,
  rows: readonly Kept<T>[],
): void {
  changeKept<Kept<T>>([what, teamId], (kept) => [
    ...kept.filter(({ id }) => !rows.some((row) => row.id === id)),
    ...rows,
  ]);
}

/** Somebody or some opponent who is new, known on this device at once and saved when it can be. */
function newRows<T extends { id: string }>(
  what: 'people' | 'opponents',
  wordsOf: (row: T) => string,
) {
  const write = defineWrite<T>({
    name: `new-${what}`,
    most: 1,
    async send(rows, teamId) {
      const answers: Answer[] = [];
      for (const row of rows) {
        const url = `/api/teams/${teamOf(teamId)}/${what}`;
        answers.push({ ok: true, answer: await request<Kept<T>>('POST', url, row) });
      }
      return answers;
    },
    merge(sent, teamId) {
      put(
        what,
        teamOf(teamId),
        sent.map(({ answer }) => answer as Kept<T>),
      );
    },
    words: wordsOf,
  });
  return (teamId: TeamId, rows: readonly T[]): void => {
    put(
      what,
      teamId,
      rows.map((row) => ({ ...row, version: 0 })),
    );
    write.send(teamId, ...rows);
  };
}

export const addPeople = newRows<Person>('people', personLabel);
export const addOpponents = newRows<Opponent>('opponents', ({ name }) => name);
