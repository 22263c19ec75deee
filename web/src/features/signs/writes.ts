import type { KeptSignAnswer, SignAnswerRecord, SignAnswersPage } from '@bradyon/contract/signs';
import type { PersonId, TeamId } from '@bradyon/core/units';
import {
  defineWrite,
  growingList,
  request,
  teamOf,
  type Answer,
  type GrowingList,
} from '../../api/index.ts';

/** The answers that are kept, on the device too. */
export const answersKept = (teamId: TeamId): GrowingList<KeptSignAnswer> =>
  growingList<KeptSignAnswer>(`sign answers ${teamId}`, async (since) => {
    const { answers, next, more } = await request<SignAnswersPage>(
      'GET',
      `/api/teams/${teamId}/signs/answers?since=${String(since)}`,
    );
    return { rows: answers, gone: [], next, more };
  });

/** How a player took a sign, told by the staff: a round for the whole team, or a sign missed in a game. */
export const answerWrite = defineWrite<SignAnswerRecord>({
  name: 'sign-answer',
  most: 50,
  async send(answers, teamId) {
    await request('POST', `/api/teams/${teamOf(teamId)}/signs/answers`, { answers });
    return answers.map((): Answer => ({ ok: true, answer: null }));
  },
  merge(sent, teamId) {
    // The number comes with the next page: until then they are told apart by their id.
    answersKept(teamOf(teamId)).put(sent.map(({ body }) => ({ ...body, seq: 0 })));
  },
  words: () => 'A sign that was read',
  reassign: (answer, personId) => ({ ...answer, personId: personId as PersonId }),
});
