import type { FielderLookRecord, FielderLooksPage, KeptFielderLook } from '@bradyon/contract/bases';
import type { PersonId, TeamId } from '@bradyon/core/units';
import {
  defineWrite,
  growingList,
  request,
  teamOf,
  type Answer,
  type GrowingList,
} from '../../api/index.ts';

/** What was seen of outfielders, on the device too. */
export const looksKept = (teamId: TeamId): GrowingList<KeptFielderLook> =>
  growingList<KeptFielderLook>(`looks ${teamId}`, async (since) => {
    const { looks, next, more } = await request<FielderLooksPage>(
      'GET',
      `/api/teams/${teamId}/bases/looks?since=${String(since)}`,
    );
    return { rows: looks, gone: [], next, more };
  });

/** A look at an outfielder, or the undoing of one. */
export const lookWrite = defineWrite<FielderLookRecord>({
  name: 'fielder look',
  most: 100,
  async send(looks, teamId) {
    await request('POST', `/api/teams/${teamOf(teamId)}/bases/looks`, { looks });
    return looks.map((): Answer => ({ ok: true, answer: null }));
  },
  merge(sent, teamId) {
    // The number comes with the next page: until then they are told apart by their id.
    looksKept(teamOf(teamId)).put(sent.map(({ body }) => ({ ...body, seq: 0 })));
  },
  words: ({ undoes }) => (undoes ? 'A look at an outfielder undone' : 'A look at an outfielder'),
  reassign: (look, personId) => ({ ...look, personId: personId as PersonId }),
});
