import type { PracticeRecord, RepRecord } from '@bradyon/contract/drills';
import {
  changeKept,
  currentOf,
  defineTally,
  defineWrite,
  request,
  teamOf,
  type Answer,
} from '../../api/index.ts';
import { notify } from '../../ui/index.ts';
import { overKept, partsText, type KeptPractice, type PracticeChange } from './practiceChange.ts';

/** Reps of the drills. */
export const { useTally: useRepTally } = defineTally<RepRecord>({
  name: 'rep',
  path: 'drills/reps',
  words: { added: 'A rep of a drill', undone: 'A rep undone' },
});

export const practicesKey = (teamId: string | null) => ['practices', teamId];

/** As often as others may come between before it is refused. */
const MOST_TRIES = 4;

/** What became of a change: the practice as it is kept now, and what others had changed meanwhile. */
interface Made {
  kept: KeptPractice | null;
  lost: (keyof PracticeRecord)[];
}

/** Puts a practice; what others changed meanwhile stays, and the change is made over it. */
async function put(
  path: string,
  { from, to }: PracticeChange & { to: PracticeRecord },
): Promise<Made> {
  let [practice, version, lost]: [PracticeRecord, number, Made['lost']] = [
    to,
    from?.version ?? 0,
    [],
  ];
  for (let tried = 1; ; tried += 1) {
    try {
      const kept = await request<KeptPractice>('PUT', path, { ...practice, version });
      return { kept, lost };
    } catch (error) {
      const current = currentOf<KeptPractice>(error as Error);
      if (!current || tried >= MOST_TRIES) throw error;
      // New, and there already: it had arrived before.
      if (!from) return { kept: current, lost: [] };
      ({ practice, lost } = overKept({ from, to }, current));
      ({ version } = current);
    }
  }
}

async function remove(path: string): Promise<Made> {
  await request('DELETE', path);
  return { kept: null, lost: [] };
}

/** A practice made, changed or deleted. */
export const practiceWrite = defineWrite<PracticeChange>({
  name: 'practice',
  most: 1,
  async send(changes, teamId) {
    const answers: Answer[] = [];
    for (const { from, to } of changes) {
      const id = to?.id ?? from?.id ?? '';
      const path = `/api/teams/${teamOf(teamId)}/practices/${id}`;
      answers.push({ ok: true, answer: await (to ? put(path, { from, to }) : remove(path)) });
    }
    return answers;
  },
  merge(sent, teamId) {
    for (const { body, answer } of sent) {
      const { kept, lost } = answer as Made;
      const id = body.to?.id ?? body.from?.id;
      changeKept<KeptPractice>(practicesKey(teamId), (rows) => [
        ...rows.filter((each) => each.id !== id),
        ...(kept ? [kept] : []),
      ]);
      if (lost.length > 0) {
        notify(`Another coach changed the ${partsText(lost)} meanwhile. Theirs stands.`);
      }
    }
  },
  words: ({ from, to }) =>
    to === null ? `${from?.name ?? 'A practice'} deleted` : `${to.name}: a change of the practice`,
});
