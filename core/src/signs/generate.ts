import type { Random } from '../maths/index.ts';
import { automatonOf, minimal } from './automaton.ts';
import {
  indicatorIn,
  type SignContext,
  type SignPlay,
  type SignSystem,
  type Touch,
} from './system.ts';

/** What a sequence is to say; null: nothing on. */
export type Meaning = SignPlay | null;

/**
 * What shows of a sequence to somebody who does not read it: how long it is, and where the indicator, the
 * wipe-off and the key stand. It is drawn before the meaning is looked at, so it gives nothing away.
 */
interface Skeleton {
  /** A touch that is settled, or null: free to be filled. */
  slots: readonly (Touch | null)[];
  /** What makes a sign live after this key; never put into a free slot. */
  hot: Touch | null;
}

// [judgement] Long enough to hide a sign, short enough to be read between two pitches.
const LENGTHS = [6, 7, 8, 9, 10] as const;
/** [judgement] One, two or three indicators, so often of ten times. */
const INDICATOR_WEIGHTS = [5, 4, 1] as const;
/** [judgement] */
const WIPE_SHARE = 0.25;
/** So many skeletons are tried before a system counts as too small for every meaning. */
const MOST_SKELETONS = 400;
/** So many fillings are tried to keep a sequence from coming back. */
const MOST_FILLINGS = 30;

export interface SignGenerator {
  /** Everything that can be said in this context, nothing on among it. */
  meanings: readonly Meaning[];
  /**
   * A sequence that says exactly this.
   * @param avoid sequences given lately, their touches joined by a space; one comes back only if there is no other
   * @returns null if the meaning cannot be said here, or if no shape carries every meaning: the system then has
   *   too few touches that stand for nothing
   */
  make: (meaning: Meaning, random: Random, avoid?: ReadonlySet<string>) => Touch[] | null;
}

/**
 * Draws sequences of a system. Shapes that only some meanings could fill are never used, so length and the
 * places of the indicator do not depend on what is said; which touches are present still may.
 * @throws RangeError as automatonOf
 */
export function signGenerator(system: SignSystem, context: SignContext): SignGenerator {
  const { touches, next, means } = minimal(automatonOf(system, context));
  const meaningOf = (state: number): Meaning | undefined => {
    const plays = means[state] ?? [];
    return plays.length > 1 ? undefined : (plays[0] ?? null);
  };
  const meanings = [...new Set(means.map((_, state) => meaningOf(state)))].filter(
    (meaning) => meaning !== undefined,
  );
  const fits = new Map<string, boolean>();

  /** The touches that may stand in a slot after another. */
  const choices = ({ slots, hot }: Skeleton, slot: number, before: number): number[] => {
    const settled = slots[slot] ?? null;
    if (settled !== null) {
      const index = touches.indexOf(settled);
      return index === before || index < 0 ? [] : [index];
    }
    return [...touches.keys()].filter(
      (index) =>
        index !== before && touches[index] !== hot && touches[index] !== system.wipe?.touch,
    );
  };

  /** By slot, state and touch before, in how many ways the rest can be filled to say it. */
  const completions = (
    skeleton: Skeleton,
    meaning: Meaning,
  ): ((slot: number, state: number, before: number) => number) => {
    const known = new Map<number, number>();
    const ways = (slot: number, state: number, before: number): number => {
      if (slot === skeleton.slots.length) return meaningOf(state) === meaning ? 1 : 0;
      const key = (slot * next.length + state) * (touches.length + 1) + before + 1;
      const found = known.get(key);
      if (found !== undefined) return found;
      let sum = 0;
      for (const touch of choices(skeleton, slot, before))
        sum += ways(slot + 1, next[state]?.[touch] ?? 0, touch);
      known.set(key, sum);
      return sum;
    };
    return ways;
  };

  const carriesAll = (skeleton: Skeleton): boolean => {
    const key = `${skeleton.slots.join(' ')} ${String(skeleton.hot)}`;
    const found = fits.get(key);
    if (found !== undefined) return found;
    const isFit = meanings.every((meaning) => completions(skeleton, meaning)(0, 0, -1) > 0);
    fits.set(key, isFit);
    return isFit;
  };

  const fill = (skeleton: Skeleton, meaning: Meaning, random: Random): Touch[] => {
    const ways = completions(skeleton, meaning);
    const filled: Touch[] = [];
    let state = 0;
    let before = -1;
    for (const slot of skeleton.slots.keys()) {
      const open = choices(skeleton, slot, before);
      const weights = open.map((touch) => ways(slot + 1, next[state]?.[touch] ?? 0, touch));
      before = open[drawn(weights, random)] ?? -1;
      state = next[state]?.[before] ?? 0;
      filled.push(touches[before] ?? '');
    }
    return filled;
  };

  return {
    meanings,
    make: (meaning, random, avoid) => {
      if (!meanings.includes(meaning)) return null;
      for (let tried = 0; tried < MOST_SKELETONS; tried += 1) {
        const skeleton = drawSkeleton(system, context, random);
        if (!skeleton || !carriesAll(skeleton)) continue;
        let filled = fill(skeleton, meaning, random);
        for (let again = 0; again < MOST_FILLINGS && avoid?.has(filled.join(' ')); again += 1)
          filled = fill(skeleton, meaning, random);
        return filled;
      }
      return null;
    },
  };
}

/** @returns null if what was drawn does not go into the length */
function drawSkeleton(
  { touches, indicator, wipe }: SignSystem,
  context: SignContext,
  random: Random,
): Skeleton | null {
  const length = LENGTHS[Math.floor(random() * LENGTHS.length)] ?? LENGTHS[0];
  const slots = Array.from<unknown, Touch | null>({ length }, () => null);
  const free = (): number => Math.floor(random() * length);
  let hot = indicatorIn(indicator, context);
  if (indicator.kind === 'keyTouch') {
    // Any key, or a touch that is none and leaves the usual indicator.
    const keyless = touches.filter(
      (touch) => touch !== wipe?.touch && indicator.keys.every(({ key }) => key !== touch),
    );
    const pick = Math.floor(random() * (indicator.keys.length + 1));
    const chosen = indicator.keys[pick];
    hot = chosen?.touch ?? indicator.default;
    slots[0] = chosen?.key ?? keyless[Math.floor(random() * keyless.length)] ?? null;
    if (slots[0] === null) return null;
  }
  const put = (touch: Touch): boolean => {
    const at = free();
    if (slots[at] !== null) return false;
    slots[at] = touch;
    return true;
  };
  if (wipe && random() < WIPE_SHARE && !put(wipe.touch)) return null;
  const indicators = hot === null ? 0 : drawn(INDICATOR_WEIGHTS, random) + 1;
  for (let count = 0; count < indicators; count += 1) if (hot === null || !put(hot)) return null;
  return { slots, hot };
}

/** The place of one of the weights, as often as it weighs. */
function drawn(weights: readonly number[], random: Random): number {
  let left = random() * weights.reduce((sum, weight) => sum + weight, 0);
  for (const [index, weight] of weights.entries()) {
    left -= weight;
    if (left < 0) return index;
  }
  return weights.findLastIndex((weight) => weight > 0);
}
