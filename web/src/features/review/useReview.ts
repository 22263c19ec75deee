import { reviewGame, type GameReview, type ReviewedCall } from '@bradyon/core/review';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { useMemo } from 'react';
import { useGame } from '../games/index.ts';
import { useLineupOdds } from '../innings/index.ts';
import { worthOf } from './worth.ts';

/** A question of the game: the call it is counted by, and how many pitches it was asked on. */
export interface CountedCall {
  call: ReviewedCall;
  cost: number;
  clearness: GameReview['ledger']['counted'][number]['clearness'];
  pitches: number;
}

/** The game that is open, read again, with its questions in order. */
export function useReview(): { review: GameReview; counted: CountedCall[]; isCurrent: boolean } {
  const { situation, ours, theirs, now, person } = useGame();
  const present = (ids: readonly PersonId[]): Person[] => ids.flatMap((id) => person(id) ?? []);
  const odds = useLineupOdds(present(situation.order[ours]), present(situation.order[theirs]));
  const { valueAt, isCurrent } = odds;
  const { events } = now;
  const review = useMemo(
    () => reviewGame(events, (state) => worthOf(state, ours, valueAt), ours, 'win'),
    [events, ours, valueAt],
  );
  const counted = review.ledger.counted.flatMap(({ opportunity, event, cost, clearness }) => {
    const call = review.calls.find((each) => each.event === event);
    const pitches = review.calls.filter((each) => each.opportunity === opportunity).length;
    return call ? [{ call, cost, clearness, pitches }] : [];
  });
  return { review, counted, isCurrent };
}
