import type { ThumbRepDraft, Together, TogetherTimeDraft } from '@bradyon/contract/thumb';
import type { TogetherId } from '@bradyon/core/units';
import {
  changeKept,
  defineWrite,
  queryClient,
  request,
  teamOf,
  type Answer,
} from '../../api/index.ts';

export const THUMB_KEY = ['thumb'];
export const togetherKey = (teamId: string | null) => ['together', teamId];

/** One rep of the coach's own thumb. */
export const thumbWrite = defineWrite<ThumbRepDraft>({
  name: 'thumbRep',
  most: 1,
  send: async ([rep]) => [{ ok: true, answer: await request('POST', '/api/thumbs', rep) }],
  merge(sent) {
    const reps = sent.map(({ answer }) => answer as ThumbRepDraft);
    const ids = new Set(reps.map(({ id }) => id));
    changeKept<ThumbRepDraft>(THUMB_KEY, (kept) => [
      ...kept.filter(({ id }) => !ids.has(id)),
      ...reps,
    ]);
    void queryClient.invalidateQueries({ queryKey: ['thumbs'] });
  },
  words: () => 'A rep of your thumb',
});

/** One coach's time of a pitch that several time. */
export interface PostedTime {
  togetherId: TogetherId;
  draft: TogetherTimeDraft;
}

export const togetherWrite = defineWrite<PostedTime>({
  name: 'togetherTime',
  most: 1,
  async send(times, teamId) {
    const answers: Answer[] = [];
    for (const { togetherId, draft } of times) {
      const path = `/api/teams/${teamOf(teamId)}/together/${togetherId}/times`;
      answers.push({ ok: true, answer: await request('POST', path, draft) });
    }
    return answers;
  },
  merge(sent, teamId) {
    const rounds = new Map(sent.map(({ answer }) => [(answer as Together).id, answer as Together]));
    changeKept<Together>(togetherKey(teamId), (kept) =>
      kept.map((round) => rounds.get(round.id) ?? round),
    );
  },
  words: ({ draft }) => `Pitch ${String(draft.event)}, timed together`,
});
