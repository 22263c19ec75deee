import type { Team } from '@bradyon/contract/teams';
import { mean } from '@bradyon/core/maths';
import { personLabel, usePeople } from '../people/index.ts';
import { useTimes } from '../timing/index.ts';

/** The drawn delivery takes this long from the first move to the mitt, seconds. */
const DRAWN_SECONDS = 1.45;
const LEAST_TIMED = 3;

/** Opponents' pitchers whose deliveries are timed, and how the chosen one would move. */
export function useOpponentLook(team: Team, pitcherId: string) {
  const { people, opponents } = usePeople(team.id);
  const times = useTimes(team);
  const timed = people.flatMap((person) => {
    if (person.opponentId === null || person.retired || !person.positions.includes('P')) return [];
    const deliveries = times
      .readingsOf(person.id)
      .filter(({ kind, asideReason }) => kind === 'delivery' && asideReason === null);
    return deliveries.length < LEAST_TIMED ? [] : [{ person, deliveries }];
  });
  const names = new Map(opponents.map(({ id, name }) => [id, name]));
  const chosen = timed.find(({ person }) => person.id === pitcherId);
  return {
    options: timed.map(({ person }) => ({
      value: person.id,
      text: `${personLabel(person)}, ${(person.opponentId && names.get(person.opponentId)) ?? ''}`,
    })),
    look: chosen
      ? {
          tempo: mean(chosen.deliveries.map(({ seconds }) => seconds)) / DRAWN_SECONDS,
          isSlideStep:
            chosen.deliveries.filter(({ style }) => style === 'slideStep').length >
            chosen.deliveries.length / 2,
        }
      : null,
  };
}
