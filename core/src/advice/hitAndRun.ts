import type { TeamLevel, Value } from '../innings/index.ts';
import type { BattingRates } from '../innings/index.ts';

/** What becomes of a pitch that the batter swings at to protect the runner. Judgement. */
const SWING = { missed: 0.17, foul: 0.38 } as const;
/** A line drive or pop with the runner off: doubled off this much more often than when not going. Judgement. */
const DOUBLED_OFF_MORE = 0.2;

/** A hit and run against swinging at the same pitch with the runner holding. */
export interface HitAndRun {
  /** The pitch goes by without an out for the runner. */
  works: number;
  /** Worth against swinging with the runner holding, in what `value` counts. */
  worth: number;
}

/**
 * Runner on first alone goes with the pitch and the batter swings at it. Only what changes is counted: the
 * runner thrown out or in on a miss, the double play stayed out of, third base on a single, and being
 * doubled off in the air.
 * @param outs 0 to 2
 * @param safe chance that the runner makes second when the batter misses, 0..1
 */
export function hitAndRun(
  outs: number,
  { rates, level, safe }: { rates: BattingRates; level: TeamLevel; safe: number },
  value: Value,
): HitAndRun {
  const [onFirst, onSecond, onThird] = [1, 2, 4];
  const put = 1 - rates.walk - rates.strikeout;
  const inPlay = 1 - SWING.missed - SWING.foul;
  const share = (rate: number): number => (inPlay * rate) / put;
  const hold = value(onFirst, outs, 0, 0);
  const missed = safe * value(onSecond, outs, 0, 0) + (1 - safe) * value(0, outs + 1, 0, 0) - hold;
  const by = Math.min(2, Math.max(0, outs)) as 0 | 1 | 2;
  const { advance } = level;
  const third = value(onFirst + onThird, outs, 0, 1) - value(onFirst + onSecond, outs, 0, 1);
  const single = (1 - advance.firstToThirdOnSingle[by]) * third;
  const over = value(onSecond, outs + 1, 0, 1);
  const twoOut = value(0, outs + 2, 0, 1);
  const forced = value(onFirst, outs + 1, 0, 1);
  const usual =
    outs < 2
      ? advance.doublePlay * twoOut +
        (1 - advance.doublePlay) * (advance.forceOut * forced + (1 - advance.forceOut) * over)
      : value(0, 3, 0, 1);
  const ground = outs < 2 ? over - usual : 0;
  const doubledOff = outs < 2 ? DOUBLED_OFF_MORE * (twoOut - value(onFirst, outs + 1, 0, 1)) : 0;
  return {
    works:
      1 - SWING.missed * (1 - safe) - (outs < 2 ? share(rates.popLineOut) * DOUBLED_OFF_MORE : 0),
    worth:
      SWING.missed * missed +
      share(rates.single) * single +
      share(rates.groundOut) * ground +
      share(rates.popLineOut) * doubledOff,
  };
}
