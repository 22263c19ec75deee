import { studentCdf } from '../maths/index.ts';
import { EARLY_TELLABLE_SECONDS, type DoubtfulSpread } from '../timing/index.ts';

/** Leaving where nobody may lead: early is an out, late is feet lost. */
export interface LeaveJudged {
  /** How often he leaves so early that it can be told. */
  chanceEarly: number;
  /** What leaving this late costs on average against leaving just on time, feet. */
  feetLost: number;
  /** The leave-time to aim at so that he is early no more often than the risk. Seconds after the release. */
  aimSeconds: number;
}

/**
 * Judges how somebody leaves with the release (small diamonds: as the pitch reaches the batter).
 * @param leave his next leave-time, seconds; negative is early
 * @param topSpeed his own, ft/s: what a second lost costs once he runs
 * @param risk how often he may be early, between 0 and 1
 */
export function judgeLeaving(leave: DoubtfulSpread, topSpeed: number, risk: number): LeaveJudged {
  if (!(risk > 0 && risk < 1)) throw new RangeError('judgeLeaving needs a risk between 0 and 1');
  const { meanSeconds, sdSeconds, freedom } = leave;
  const scale = Number.isFinite(freedom) ? Math.sqrt((freedom - 2) / freedom) : 1;
  const early = (aim: number): number =>
    studentCdf((-EARLY_TELLABLE_SECONDS - aim) / (sdSeconds * scale), freedom);
  let [low, high] = [-1, 1];
  while (high - low > 1e-4) {
    const middle = (low + high) / 2;
    if (early(middle) > risk) low = middle;
    else high = middle;
  }
  return {
    chanceEarly: early(meanSeconds),
    feetLost: Math.max(0, meanSeconds) * topSpeed,
    aimSeconds: high,
  };
}
