import { boundsOf, type ReadingKind, type Split } from '../timing/index.ts';
import { roundToMillisecond } from '../units/index.ts';

type Sense = 'ear' | 'tap';

/** A mark of what is timed, and who notices it: the ear, or a thumb. */
export interface EarMark {
  name: string;
  by: Sense;
}

/** What is timed by ear: the split from mark i to mark i + 1 is of kind `kinds[i]`. */
export interface EarPlan {
  marks: readonly EarMark[];
  kinds: readonly ReadingKind[];
}

const ear = (name: string): EarMark => ({ name, by: 'ear' });
const tap = (name: string): EarMark => ({ name, by: 'tap' });

export const EAR_PLANS = {
  pop: { marks: [ear('mitt'), ear('bag')], kinds: ['pop'] },
  delivery: { marks: [tap('first move'), ear('mitt')], kinds: ['delivery'] },
  battery: {
    marks: [tap('first move'), ear('mitt'), ear('bag')],
    kinds: ['delivery', 'pop'],
  },
  flight: { marks: [tap('release'), ear('mitt')], kinds: ['flight'] },
  softballBattery: {
    marks: [tap('release'), ear('mitt'), ear('bag')],
    kinds: ['flight', 'pop'],
  },
  outfieldThrow: { marks: [ear('glove'), ear('base')], kinds: ['outfieldThrow'] },
  homeToFirst: { marks: [ear('bat'), tap('touch')], kinds: ['homeToFirst'] },
} as const satisfies Record<string, EarPlan>;
export type EarPlanName = keyof typeof EAR_PLANS;

/** Something heard or tapped. */
export interface Moment {
  /** On one clock for both senses, as it was heard; seconds. */
  atSeconds: number;
  by: Sense;
  /** A tap is sure. */
  isSure: boolean;
}

/** Moments that may be what is timed, and the times that follow. */
export interface HeardChain {
  moments: readonly Moment[];
  /** The sound's way taken out. */
  splits: readonly Split[];
  isSure: boolean;
}

/** How late each mark is heard, seconds; for a tapped one 0. And what each kind may last. */
export interface Hearing {
  plan: EarPlan;
  lateSeconds: readonly number[];
  bounds: (kind: ReadingKind) => { min: number; max: number };
}

/** What a kind may last where nothing of the level is known. */
export const anyLength = boundsOf;

/**
 * All that the moments may be: chains as long as they go, in order of their beginning. Two of them
 * mean that the coach has to say which.
 * @param moments in any order
 */
function chainsHeard(moments: readonly Moment[], hearing: Hearing): HeardChain[] {
  const inOrder = moments.toSorted((a, b) => a.atSeconds - b.atSeconds);
  const found: HeardChain[] = [];
  const goOn = (chain: readonly Moment[], splits: readonly Split[]): void => {
    const next = nextOf(inOrder, chain, hearing);
    for (const { moment, split } of next) goOn([...chain, moment], [...splits, split]);
    if (next.length === 0 && splits.length > 0) {
      found.push({ moments: chain, splits, isSure: chain.every(({ isSure }) => isSure) });
    }
  };
  const [first] = hearing.plan.marks;
  for (const moment of inOrder) if (moment.by === first?.by) goOn([moment], []);
  return found;
}

function nextOf(
  inOrder: readonly Moment[],
  chain: readonly Moment[],
  { plan, lateSeconds, bounds }: Hearing,
): { moment: Moment; split: Split }[] {
  const nth = chain.length;
  const [mark, kind, last] = [plan.marks[nth], plan.kinds[nth - 1], chain[nth - 1]];
  if (!mark || !kind || !last) return [];
  const { min, max } = bounds(kind);
  const way = (lateSeconds[nth] ?? 0) - (lateSeconds[nth - 1] ?? 0);
  return inOrder.flatMap((moment) => {
    const seconds = roundToMillisecond(moment.atSeconds - last.atSeconds - way);
    const fits = moment.by === mark.by && seconds >= min && seconds <= max;
    return fits ? [{ moment, split: { kind, seconds } }] : [];
  });
}

/** More sharp sounds than this within one throw: nobody can tell which is which. Judgement. */
const MOST_MOMENTS = 7;

/** What the ear makes of the moments so far. */
export type EarState =
  /** What is to come may still make something of it. */
  | { state: 'waiting' }
  /** It may be this, and something may still come that makes it doubtful. */
  | { state: 'open'; chains: readonly HeardChain[] }
  /** It is over, and was nothing. */
  | { state: 'nothing' }
  /** It is over: one, and sure. */
  | { state: 'one'; chain: HeardChain }
  /** It is over, and the coach has to say. */
  | { state: 'ask'; chains: readonly HeardChain[] }
  /** It is over: too much was heard. */
  | { state: 'noise' };

/**
 * What the moments are by now. As long as any of them may begin or end another time, it stays open;
 * an ending that is tapped ends it.
 * @param nowSeconds on the moments' clock
 */
export function earState(
  moments: readonly Moment[],
  hearing: Hearing,
  nowSeconds: number,
): EarState {
  const chains = chainsHeard(moments, hearing);
  const last = moments.reduce((latest, { atSeconds }) => Math.max(latest, atSeconds), -Infinity);
  const isTapped = hearing.plan.marks.at(-1)?.by === 'tap' && chains.length > 0;
  if (nowSeconds <= last + reachSeconds(hearing) && !isTapped) {
    return chains.length === 0 ? { state: 'waiting' } : { state: 'open', chains };
  }
  if (moments.length > MOST_MOMENTS && chains.length > 1) return { state: 'noise' };
  const [only, other] = chains;
  if (!only) return { state: 'nothing' };
  return !other && only.isSure ? { state: 'one', chain: only } : { state: 'ask', chains };
}

/** How long after a moment the next one of its chain may still be heard, seconds. */
function reachSeconds({ plan, lateSeconds, bounds }: Hearing): number {
  return Math.max(
    ...plan.kinds.map(
      (kind, nth) => bounds(kind).max + (lateSeconds[nth + 1] ?? 0) - (lateSeconds[nth] ?? 0),
    ),
  );
}

/**
 * The moments that still matter after another one: what came before a chain can begin, or is too old
 * for any, is forgotten.
 */
export function withMoment(
  moments: readonly Moment[],
  moment: Moment,
  hearing: Hearing,
): readonly Moment[] {
  const reach = reachSeconds(hearing) * hearing.plan.kinds.length;
  const recent = [...moments, moment].filter(
    ({ atSeconds }) => atSeconds >= moment.atSeconds - reach,
  );
  const [first] = hearing.plan.marks;
  const begins = recent.findIndex(({ by }) => by === first?.by);
  return begins === -1 ? [] : recent.slice(begins);
}
