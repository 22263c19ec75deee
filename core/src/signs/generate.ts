import { drawn, type Random } from '../maths/index.ts';
import { automatonOf, minimal } from './automaton.ts';
import {
  indicatorIn,
  type SignContext,
  type SignPlay,
  type SignSystem,
  type Touch,
} from './system.ts';
import { handEase } from './touches.ts';

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
/** So many fillings keep what was worked out of them. */
const MOST_KEPT = 1500;

/** How often a touch is put into a free place of a sequence with nothing on, beside the others; absent: once. */
export type TouchWeights = Readonly<Record<Touch, number>>;

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

/** By slot, state and touch before, the weight of all ways in which the rest says it. */
type Ways = readonly Float64Array[];

/**
 * Draws sequences of a system. Shapes that only some meanings could fill are never used, so length and the
 * places of the indicator do not depend on what is said; which touches are present still may.
 * @param idle for sequences with nothing on: see `tuneIdle`
 * @throws RangeError as automatonOf
 */
export function signGenerator(
  system: SignSystem,
  context: SignContext,
  idle: TouchWeights = {},
): SignGenerator {
  const { touches, next, means } = minimal(automatonOf(system, context));
  const count = touches.length;
  const meaningOf = (state: number): Meaning | undefined => {
    const plays = means[state] ?? [];
    return plays.length > 1 ? undefined : (plays[0] ?? null);
  };
  const meanings = [...new Set(means.map((_, state) => meaningOf(state)))].filter(
    (meaning) => meaning !== undefined,
  );
  // What is before the first touch stands at the end: from nowhere every touch is as near.
  const ease = [...touches, null].map((from) =>
    touches.map((to) => (from === to ? 0 : from === null ? 1 : handEase(from, to))),
  );
  const kept = new Map<string, Ways>();
  /** By shape, whether it carries every meaning. */
  const fits = new Map<string, boolean>();

  /** The touches that may stand in each slot. */
  const choices = ({ slots, hot }: Skeleton): number[][] =>
    slots.map((settled) =>
      settled === null
        ? [...touches.keys()].filter(
            (index) => touches[index] !== hot && touches[index] !== system.wipe?.touch,
          )
        : [touches.indexOf(settled)].filter((index) => index >= 0),
    );

  const waysOf = (skeleton: Skeleton, meaning: Meaning): Ways => {
    const key = `${keyOf(skeleton)} ${String(meaning)}`;
    const found = kept.get(key);
    if (found !== undefined) return found;
    const open = choices(skeleton);
    const row = count + 1;
    let after = Float64Array.from({ length: next.length * row }, (_, index) =>
      meaningOf(Math.floor(index / row)) === meaning ? 1 : 0,
    );
    const ways: Float64Array[] = [after];
    for (const own of open.toReversed()) {
      const here = new Float64Array(next.length * row);
      for (let state = 0; state < next.length; state += 1) {
        const to = next[state] ?? [];
        for (let before = 0; before <= count; before += 1) {
          let sum = 0;
          for (const touch of own)
            sum += (ease[before]?.[touch] ?? 0) * (after[(to[touch] ?? 0) * row + touch] ?? 0);
          here[state * row + before] = sum;
        }
      }
      ways.unshift(here);
      after = here;
    }
    if (kept.size >= MOST_KEPT) kept.clear();
    kept.set(key, ways);
    return ways;
  };
  const carriesAll = (skeleton: Skeleton): boolean => {
    const key = keyOf(skeleton);
    const found = fits.get(key);
    if (found !== undefined) return found;
    const isFit = meanings.every((meaning) => (waysOf(skeleton, meaning)[0]?.[count] ?? 0) > 0);
    fits.set(key, isFit);
    return isFit;
  };

  const fill = (skeleton: Skeleton, ways: Ways, meaning: Meaning, random: Random): Touch[] => {
    const open = choices(skeleton);
    const filled: Touch[] = [];
    let state = 0;
    let before = count;
    for (const [slot, own] of open.entries()) {
      const weights = own.map((touch) => {
        const to = next[state]?.[touch] ?? 0;
        const rest = ways[slot + 1]?.[to * (count + 1) + touch] ?? 0;
        const idles = meaning === null ? (idle[touches[touch] ?? ''] ?? 1) : 1;
        return (ease[before]?.[touch] ?? 0) * rest * idles;
      });
      before = own[drawn(weights, random)] ?? 0;
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
        const ways = waysOf(skeleton, meaning);
        let filled = fill(skeleton, ways, meaning, random);
        for (let again = 0; again < MOST_FILLINGS && avoid?.has(filled.join(' ')); again += 1)
          filled = fill(skeleton, ways, meaning, random);
        return filled;
      }
      return null;
    },
  };
}

/** Judgement: samples a round, rounds, how far a weight follows, and how far it may go. */
const TUNING = { samples: 150, rounds: 8, share: 0.8, most: 8 } as const;

/**
 * Weights that make sequences with nothing on touch every place about as often as live ones do: which touches
 * are present then tells less. Never all: the sign itself has to be there.
 * @returns no weights for a system that carries no sequence
 */
export function tuneIdle(system: SignSystem, context: SignContext, random: Random): TouchWeights {
  const plain = signGenerator(system, context);
  const live = plain.meanings.filter((meaning) => meaning !== null);
  const weightOf = (play: SignPlay): number =>
    system.plays.find(({ id }) => id === play)?.weight ?? 1;
  const weights = live.map(weightOf);
  const sample = (make: () => Touch[] | null): Map<Touch, number> => {
    const seen = new Map<Touch, number>();
    for (let index = 0; index < TUNING.samples; index += 1)
      for (const touch of make() ?? []) seen.set(touch, (seen.get(touch) ?? 0) + 1);
    return seen;
  };
  if (live.length === 0) return {};
  const wanted = sample(() => plain.make(live[drawn(weights, random)] ?? null, random));
  const idle: Record<Touch, number> = {};
  for (let round = 0; round < TUNING.rounds; round += 1) {
    const own = signGenerator(system, context, idle);
    const seen = sample(() => own.make(null, random));
    for (const touch of system.touches) {
      const ratio = ((wanted.get(touch) ?? 0) + 1) / ((seen.get(touch) ?? 0) + 1);
      const moved = (idle[touch] ?? 1) * ratio ** TUNING.share;
      idle[touch] = Math.min(TUNING.most, Math.max(1 / TUNING.most, moved));
    }
  }
  return idle;
}

const keyOf = ({ slots, hot }: Skeleton): string => `${slots.join(' ')} ${String(hot)}`;

/** @returns null if what was drawn does not go into the length */
function drawSkeleton(
  { touches, indicator, wipe, scheme }: SignSystem,
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
  // Counted to the end, the place of the indicator is the play: it stands where the play has it.
  if (scheme.kind === 'count' && scheme.until === 'end') return { slots, hot: null };
  const indicators = hot === null ? 0 : drawn(INDICATOR_WEIGHTS, random) + 1;
  for (let at = 0; at < indicators; at += 1) if (hot === null || !put(hot)) return null;
  return { slots, hot };
}
