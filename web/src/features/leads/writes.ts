import type { LeadLookRecord, TestDiveRecord } from '@bradyon/contract/leads';
import type { PersonId } from '@bradyon/core/units';
import { distance } from '../../ui/distance.ts';
import {
  changeKept,
  defineTally,
  defineWrite,
  request,
  teamOf,
  type Answer,
} from '../../api/index.ts';

export const divesKey = (teamId: string | null) => ['testDives', teamId];

/** How far off a runner was seen. */
export const { useTally: useLeadLookTally } = defineTally<LeadLookRecord>({
  name: 'lead look',
  path: 'leads/looks',
  words: { added: 'A lead that was seen', undone: 'A lead that was seen undone' },
});

/** A test dive of somebody. */
export const diveWrite = defineWrite<TestDiveRecord>({
  name: 'testDive',
  most: 1,
  async send(dives, teamId) {
    const answers: Answer[] = [];
    for (const dive of dives) {
      const answer = await request('POST', `/api/teams/${teamOf(teamId)}/test-dives`, dive);
      answers.push({ ok: true, answer });
    }
    return answers;
  },
  merge(sent, teamId) {
    const dives = sent.map(({ answer }) => answer as TestDiveRecord);
    const ids = new Set(dives.map(({ id }) => id));
    changeKept<TestDiveRecord>(divesKey(teamId), (kept) => [
      ...dives,
      ...kept.filter(({ id }) => !ids.has(id)),
    ]);
  },
  words: ({ leadFeet }) => `Test dive from ${distance(leadFeet)}`,
  reassign: (dive, personId) => ({ ...dive, personId: personId as PersonId }),
});
