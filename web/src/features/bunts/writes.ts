import type { BuntTriesPage, BuntTryRecord, KeptBuntTry } from '@bradyon/contract/bunts';
import type { PersonId, TeamId } from '@bradyon/core/units';
import {
  defineWrite,
  growingList,
  request,
  teamOf,
  type Answer,
  type GrowingList,
} from '../../api/index.ts';

/** The bunts that are kept, on the device too. */
export const buntsKept = (teamId: TeamId): GrowingList<KeptBuntTry> =>
  growingList<KeptBuntTry>(`bunts ${teamId}`, async (since) => {
    const { tries, next, more } = await request<BuntTriesPage>(
      'GET',
      `/api/teams/${teamId}/bunts?since=${String(since)}`,
    );
    return { rows: tries, gone: [], next, more };
  });

/** A bunt of practice, or the undoing of one. */
export const buntWrite = defineWrite<BuntTryRecord>({
  name: 'bunt',
  most: 100,
  async send(tries, teamId) {
    await request('POST', `/api/teams/${teamOf(teamId)}/bunts`, { tries });
    return tries.map((): Answer => ({ ok: true, answer: null }));
  },
  merge(sent, teamId) {
    // The number comes with the next page: until then they are told apart by their id.
    buntsKept(teamOf(teamId)).put(sent.map(({ body }) => ({ ...body, seq: 0 })));
  },
  words: ({ undoes }) => (undoes ? 'A bunt undone' : 'A bunt of practice'),
  reassign: (bunt, personId) => ({ ...bunt, personId: personId as PersonId }),
});
