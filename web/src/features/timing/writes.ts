import type { ReadingsPage, ReadingStep, StepAnswers } from '@bradyon/contract/timing';
import type { Reading } from '@bradyon/core/timing';
import type { PersonId, TeamId } from '@bradyon/core/units';
import {
  defineWrite,
  teamOf,
  growingList,
  request,
  type Answer,
  type GrowingList,
} from '../../api/index.ts';
import { seconds } from '../../ui/format.ts';
import { titleOf } from './words.ts';

const path = (teamId: TeamId): string => `/api/teams/${teamId}/readings`;

/** Every reading of a team that the server has. */
export function keptReadings(teamId: TeamId): GrowingList<Reading> {
  return growingList<Reading>(`readings ${teamId}`, async (since) => {
    const page = await request<ReadingsPage>('GET', `${path(teamId)}?since=${String(since)}`);
    return { ...page, rows: page.readings };
  });
}

/** As many as the server takes at once. */
const MOST_IN_ONE = 200;

const STEP_WORDS = { judge: 'Whether a time counts', delete: 'Deleting a time' } as const;

/** What is done to readings: taken on the device at the tap, and by the server when it can be reached. */
export const readingWrite = defineWrite<ReadingStep>({
  name: 'reading',
  most: MOST_IN_ONE,
  async send(steps, teamId) {
    const { answers } = await request<StepAnswers>('POST', path(teamOf(teamId)), { steps });
    return answers.map((each): Answer => (each.ok ? { ok: true, answer: each.reading } : each));
  },
  merge(sent, teamId) {
    const readings = sent.flatMap(({ answer }) => (answer as Reading | null) ?? []);
    const gone = sent.flatMap(({ body }) => (body.step === 'delete' ? [body.readingId] : []));
    // The last of several about one reading is how it stands.
    const last = [...new Map(readings.map((reading) => [reading.id, reading])).values()];
    keptReadings(teamOf(teamId)).put(last, gone);
  },
  words: (step) =>
    step.step === 'add'
      ? `${titleOf(step.draft)}, ${seconds(step.draft.seconds)}`
      : STEP_WORDS[step.step],
  reassign: (step, personId) =>
    step.step === 'add'
      ? { ...step, draft: { ...step.draft, personId: personId as PersonId } }
      : null,
});
