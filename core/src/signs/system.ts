/** Something a coach touches or does: a place on the body, a clap. */
export type Touch = string;
/** What a sign stands for. */
export type SignPlay = string;

export interface PlayDef {
  id: SignPlay;
  /** Missed or misread it is worst: the squeeze. */
  critical?: boolean;
  /** How often it is given beside the others. */
  weight: number;
}

/** A touch with what it stands for. Pairs are a list: a touch entered twice has to be seen. */
interface Pair {
  touch: Touch;
  play: SignPlay;
}
interface Valued {
  touch: Touch;
  value: number;
}

/** The touch after which the sign is live; none: every touch is. */
export type Indicator =
  | { kind: 'none' }
  | { kind: 'fixed'; touch: Touch }
  /** Another one each inning, round and round. */
  | { kind: 'byInning'; touches: Touch[] }
  /** For nobody, one and two out. */
  | { kind: 'byOuts'; touches: Touch[] }
  /** The first touch chooses it. */
  | { kind: 'keyTouch'; keys: { key: Touch; touch: Touch }[]; default: Touch };

/** How the live touches are read. */
export type Scheme =
  | { kind: 'direct'; map: Pair[] }
  /** The touch so many after the indicator, or with -1 the one before it. */
  | { kind: 'indicator'; offset: 1 | 2 | -1; map: Pair[] }
  /** Touches are counted into a list; null: that place says nothing. */
  | { kind: 'count'; list: (SignPlay | null)[]; until: 'end' | { stop: Touch } }
  | { kind: 'sum'; take: number; values: Valued[]; table: { sum: number; play: SignPlay }[] }
  | { kind: 'card'; take: number; values: Valued[]; codes: { code: string; play: SignPlay }[] };

/** A touch after the sign that makes one play another. */
interface Modifier {
  touch: Touch;
  from: SignPlay;
  to: SignPlay;
  where: 'anyAfter' | 'next';
}

/** A sign that means another thing in another spot; all fields that are given have to hold. */
interface Situational {
  play: SignPlay;
  to: SignPlay;
  when: { first?: boolean; second?: boolean; third?: boolean; outs?: number[] };
}

export interface SignSystem {
  id: string;
  name: string;
  touches: Touch[];
  plays: PlayDef[];
  indicator: Indicator;
  scheme: Scheme;
  /** Which of several signs in a sequence counts; any: every one speaks, as in a team that has not agreed. */
  occurrence: 'first' | 'last' | 'any';
  modifiers: Modifier[];
  situational: Situational[];
  wipe: { touch: Touch; mode: 'cancel' | 'restart' } | null;
}

/** Where the game stands, as far as a system may ask. */
export interface SignContext {
  /** From 1. */
  inning: number;
  outs: number;
  /** 1 first, 2 second, 4 third, added up. */
  bases: number;
}

/**
 * The touch that makes a sign live, before any key was touched.
 * @returns null without an indicator
 */
export function indicatorIn(indicator: Indicator, { inning, outs }: SignContext): Touch | null {
  switch (indicator.kind) {
    case 'none':
      return null;
    case 'fixed':
      return indicator.touch;
    case 'byInning':
      return indicator.touches[(inning - 1) % indicator.touches.length] ?? null;
    case 'byOuts':
      return indicator.touches[outs % indicator.touches.length] ?? null;
    case 'keyTouch':
      return indicator.default;
  }
}

/** What a play means here, once the situation has had its say: two that apply are two meanings. */
export function inSituation(
  play: SignPlay,
  { situational }: SignSystem,
  { outs, bases }: SignContext,
): SignPlay[] {
  const found = situational.filter(({ play: from, when }) => {
    const on = (wanted: boolean | undefined, bit: number): boolean =>
      wanted === undefined || wanted === ((bases & bit) !== 0);
    return (
      from === play &&
      on(when.first, 1) &&
      on(when.second, 2) &&
      on(when.third, 4) &&
      (when.outs?.includes(outs) ?? true)
    );
  });
  return found.length > 0 ? found.map(({ to }) => to) : [play];
}
