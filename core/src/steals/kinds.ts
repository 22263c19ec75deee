import { STANDING_OFF_SECOND_FEET } from '../leads/index.ts';
import type { Ruleset } from '../rules/index.ts';
import { commonLeadFeet, usualStart } from '../sprint/index.ts';
import type { Base } from '../units/index.ts';

/** The bases that can be stolen. */
export const STEAL_BASES = ['second', 'third', 'home'] as const satisfies readonly Base[];
export type StealBase = (typeof STEAL_BASES)[number];

/**
 * How he goes. With leads: `straight` on the first move from a standing lead, `hop` rolling out of
 * the lead, `delayed` shuffling off and going as the ball is in the mitt. Without: `rocker` from a
 * running start behind the bag as the ball leaves the hand, `standing` from the bag.
 */
export type StealKind = 'straight' | 'hop' | 'delayed' | 'rocker' | 'standing';

/** Where and how fast he is when he goes. */
export interface Start {
  leadFeet: number;
  /** ft/s */
  speed: number;
}

/** Speeds that a start brings, ft/s, and how far out a delayed steal shuffles. Agreed figures. */
const HOP_SPEED = 4;
const DELAYED: Start = { leadFeet: 20, speed: 7 };
const OFF_THIRD_FEET = { straight: 15, hop: 30 };
/** Walking down the line as the wind-up begins. */
const WALKING_SPEED = 12;

/** The kinds that the rules leave for a base, the usual one first; none where stealing it is not allowed. */
export function stealKinds(
  { leadRule, stealAllowed }: Pick<Ruleset, 'leadRule' | 'stealAllowed'>,
  base: StealBase,
): StealKind[] {
  if (!stealAllowed) return [];
  if (leadRule === 'atRelease') return ['rocker', 'standing'];
  if (leadRule === 'reachesBatter') return ['standing'];
  return base === 'second' ? ['straight', 'hop', 'delayed'] : ['straight', 'hop'];
}

/**
 * Where he is when he goes.
 * @param leadFeet his own lead off first; null: the usual one. Off the other bases, and without leads, it is not asked
 */
export function startOf(
  kind: StealKind,
  base: StealBase,
  ruleset: Ruleset,
  leadFeet: number | null,
): Start {
  const share = ruleset.baseDistanceFeet / 90;
  switch (kind) {
    case 'standing':
      return { leadFeet: 0, speed: 0 };
    case 'rocker':
      return usualStart(ruleset, base === 'second' ? 'second' : 'third');
    case 'delayed':
      return { leadFeet: DELAYED.leadFeet * share, speed: DELAYED.speed };
    case 'straight':
    case 'hop':
      return leadStart(kind, base, ruleset, leadFeet);
  }
}

function leadStart(
  kind: 'straight' | 'hop',
  base: StealBase,
  ruleset: Ruleset,
  leadFeet: number | null,
): Start {
  const share = ruleset.baseDistanceFeet / 90;
  const rolling = kind === 'hop';
  if (base === 'second') {
    const usual = commonLeadFeet({ kind: 'steal', base }, ruleset) ?? 0;
    return { leadFeet: leadFeet ?? usual, speed: rolling ? HOP_SPEED : 0 };
  }
  if (base === 'third') {
    return rolling
      ? usualStart(ruleset, 'third')
      : { leadFeet: STANDING_OFF_SECOND_FEET * share, speed: 0 };
  }
  return { leadFeet: OFF_THIRD_FEET[kind] * share, speed: rolling ? WALKING_SPEED : 0 };
}
