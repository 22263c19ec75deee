import type { GameReview } from '@bradyon/core/review';
import type { PersonId } from '@bradyon/core/units';
import type { useGame } from '../games/index.ts';

type Reviewed = Pick<ReturnType<typeof useGame>, 'game' | 'opponentName' | 'name'>;

/** A game's review as a file: see docs/formats.md. Chances and worth in chance to win, times in seconds. */
export function reviewFile(
  { game, opponentName, name }: Reviewed,
  { unit, start, end, ledger, calls, outs }: GameReview,
) {
  const people = new Set<PersonId>();
  for (const { call } of calls) {
    for (const id of [call.runner, call.pitcher, call.catcher]) if (id !== null) people.add(id);
  }
  for (const { runner } of outs) people.add(runner);
  return {
    format: 'bradyon-review',
    version: 1,
    game: {
      id: game.id,
      startsAt: game.startsAt,
      opponent: opponentName,
      weAreHome: game.weAreHome,
    },
    unit,
    start,
    end,
    totals: ledger.totals,
    luckSd: ledger.luckSd,
    people: Object.fromEntries([...people].map((id) => [id, name(id)])),
    calls: calls.map(({ call, result, called, done, row }) => ({
      ...call,
      called,
      done,
      result,
      row,
    })),
    outs,
  };
}
