import { contactValue, type ContactShares, type Value } from '../innings/index.ts';
import { FIRST, THIRD } from '../innings/index.ts';

/** How well a runner on third reads a ball on the ground off the bat. Judgement. */
const GOOD_READ = 0.8;

/** What a runner on third may do when the ball is on the ground, each in the unit of the value. */
export interface GrounderPlan {
  /** Goes on contact, whatever it is. */
  go: number;
  /** Waits until it is through or thrown to first. */
  wait: number;
  /** Goes only where the throw home is beaten, when he reads it as often as that. */
  read: number;
}

/**
 * Going from third on a ball on the ground: on contact, never, or by what is read.
 * @param share how often the read is right, 0..1; wrong reads go
 */
export function planGrounder(
  outs: 0 | 1,
  contact: ContactShares,
  value: Value,
  share = GOOD_READ,
): GrounderPlan {
  const { through, outAtHome, conceded } = contact;
  const { go, wait } = contactValue(outs, contact, value);
  const stopped = 1 - through;
  const stays =
    contact.scoresIfHolding * value(0, outs + 1, 1, 1) +
    (1 - contact.scoresIfHolding) * value(THIRD, outs + 1, 0, 1);
  const right =
    through * value(FIRST, outs, 1, 1) +
    stopped *
      (outAtHome * Math.max(stays, value(FIRST, outs + 1, 0, 1)) +
        conceded * value(0, outs + 1, 1, 1) +
        (1 - outAtHome - conceded) * value(FIRST, outs, 1, 1));
  return { go, wait, read: share * right + (1 - share) * go };
}
