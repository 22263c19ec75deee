import type { Hand } from '../people/index.ts';
import { SPEED_PER_MPH } from '../race/index.ts';
import type { Ruleset } from '../rules/index.ts';
import type { Bag, Place } from '../units/index.ts';
import type { BuntFigures } from './figures.ts';
import type { BuntFielder, Fielder } from './setup.ts';

/** Where a corner infielder may play. */
type Corner = 'hold' | 'normal' | 'in' | 'crash' | 'deep';

/** How they stand, and who goes where. */
export interface Alignment {
  first: Corner;
  third: Corner;
  /** The shortstop breaks for third with the pitch. */
  wheel: boolean;
  /** Who goes to third when the corner has come in; otherwise nobody leaves second. */
  shortToThird: boolean;
  /** Where the coach put somebody by hand, in place of the usual spot. */
  moved?: Partial<Record<BuntFielder, Place>>;
}

/** Alignments that have a name. */
export const ALIGNMENTS = [
  'holding',
  'normal',
  'in',
  'crashFirst',
  'crashBoth',
  'wheel',
  'deep',
] as const;
export type AlignmentName = (typeof ALIGNMENTS)[number];

interface Spot extends Place {
  charge: number;
}

/** For 90 ft bases, softball for 60; feet, and ft/s toward the plate at contact. Judgement. */
const CORNER_SPOTS: Record<Ruleset['sport'], Record<'1B' | '3B', Record<Corner, Spot>>> = {
  baseball: {
    '1B': {
      hold: { x: 82, y: 6, charge: 8 },
      normal: { x: 92, y: 22, charge: 0 },
      in: { x: 70, y: 8, charge: 8 },
      crash: { x: 58, y: 7, charge: 14 },
      deep: { x: 100, y: 24, charge: 0 },
    },
    '3B': {
      hold: { x: 5, y: 84, charge: 0 },
      normal: { x: 15, y: 92, charge: 0 },
      in: { x: 8, y: 72, charge: 6 },
      crash: { x: 7, y: 58, charge: 14 },
      deep: { x: 18, y: 104, charge: 0 },
    },
  },
  softball: {
    '1B': {
      hold: { x: 52, y: 4, charge: 4 },
      normal: { x: 50, y: 6, charge: 4 },
      in: { x: 40, y: 5, charge: 5 },
      crash: { x: 32, y: 5, charge: 12 },
      deep: { x: 62, y: 12, charge: 0 },
    },
    '3B': {
      hold: { x: 4, y: 52, charge: 0 },
      normal: { x: 6, y: 46, charge: 3 },
      in: { x: 5, y: 38, charge: 5 },
      crash: { x: 5, y: 31, charge: 12 },
      deep: { x: 10, y: 60, charge: 0 },
    },
  },
};

const MIDDLE_SPOTS = {
  baseball: {
    second: { held: { x: 100, y: 46 }, free: { x: 108, y: 56 } },
    short: { free: { x: 60, y: 106 }, onSecond: { x: 58, y: 104 }, wheel: { x: 30, y: 96 } },
  },
  softball: {
    second: { held: { x: 68, y: 26 }, free: { x: 70, y: 36 } },
    short: { free: { x: 40, y: 68 }, onSecond: { x: 36, y: 68 }, wheel: { x: 18, y: 62 } },
  },
} as const;

/** From the rubber forward to where he stands after the pitch, and to the side that he falls. */
const FOLLOWS_THROUGH = {
  baseball: { forward: 6.5, aside: 2 },
  softball: { forward: 6, aside: 1 },
} as const;
const BEHIND_PLATE: Place = { x: -2.5, y: -2.5 };

const CORNERS_OF: Record<AlignmentName, Pick<Alignment, 'first' | 'third'>> = {
  holding: { first: 'hold', third: 'in' },
  normal: { first: 'normal', third: 'normal' },
  in: { first: 'in', third: 'in' },
  crashFirst: { first: 'crash', third: 'normal' },
  crashBoth: { first: 'crash', third: 'crash' },
  wheel: { first: 'crash', third: 'crash' },
  deep: { first: 'normal', third: 'deep' },
};

/**
 * An alignment by its name. In softball the shortstop goes to third with runners on first and second; in baseball
 * only when told.
 */
export function alignmentOf(name: AlignmentName, { sport }: Pick<Ruleset, 'sport'>): Alignment {
  const wheel = name === 'wheel';
  return { ...CORNERS_OF[name], wheel, shortToThird: wheel || sport === 'softball' };
}

/** Who is where when the ball meets the bat, and who covers what. */
export function fieldersOf(
  alignment: Alignment,
  { onFirst, onSecond }: { onFirst: boolean; onSecond: boolean },
  { sport, baseDistanceFeet, pitchingDistanceFeet }: Ruleset,
  pitcherThrows: Hand,
  figures: BuntFigures,
): Fielder[] {
  const share = baseDistanceFeet / (sport === 'softball' ? 60 : 90);
  const scaled = ({ x, y }: Place): Place => ({ x: x * share, y: y * share });
  const middles = MIDDLE_SPOTS[sport];
  const first = CORNER_SPOTS[sport]['1B'][alignment.first];
  const third = CORNER_SPOTS[sport]['3B'][alignment.third];
  const short = alignment.wheel
    ? middles.short.wheel
    : onSecond
      ? middles.short.onSecond
      : middles.short.free;
  const { fielderSpeed, fielderAcceleration } = figures;
  const one = (
    position: BuntFielder,
    at: Place,
    own: {
      react: number;
      cover: number;
      mph: number;
      covers: Bag[];
      slower?: number;
      charge?: number;
    },
  ): Fielder => ({
    position,
    at: alignment.moved?.[position] ?? at,
    reactSeconds: own.react,
    topSpeed: fielderSpeed - (own.slower ?? 0),
    accelerationSeconds: fielderAcceleration,
    chargeSpeed: own.charge ?? 0,
    throwSpeed: own.mph * SPEED_PER_MPH,
    covers: own.covers,
    coverSeconds: own.cover,
  });
  const corner = (
    position: '1B' | '3B',
    bag: Bag,
    name: Corner,
    spot: Spot,
    mph: number,
  ): Fielder =>
    one(position, scaled(spot), {
      react: figures.cornerReact,
      cover: name === 'crash' ? figures.crashCover : figures.cornerCover,
      mph,
      covers: name === 'crash' ? [] : [bag],
      charge: spot.charge,
    });
  // With both on, whoever goes to third leaves second to nobody.
  const shortCovers: Bag[] = onFirst && onSecond && !alignment.shortToThird ? [2] : [2, 3];
  return [
    one('P', pitcherAt(sport, pitchingDistanceFeet, pitcherThrows), {
      react: figures.pitcherReact,
      cover: figures.secondCover,
      mph: figures.pitcherThrow,
      covers: [],
      slower: figures.pitcherSlower,
    }),
    one('C', BEHIND_PLATE, {
      react: figures.catcherReact,
      cover: figures.catcherCover,
      mph: figures.catcherThrow,
      covers: [4],
      slower: figures.catcherSlower,
    }),
    corner('1B', 1, alignment.first, first, figures.firstThrow),
    corner('3B', 3, alignment.third, third, figures.thirdThrow),
    one('2B', scaled(onFirst ? middles.second.held : middles.second.free), {
      react: figures.middleReact,
      cover: figures.secondCover,
      mph: figures.secondThrow,
      covers: [1],
    }),
    one('SS', scaled(short), {
      react: figures.middleReact,
      cover: figures.shortCover,
      mph: figures.shortThrow,
      covers: alignment.wheel ? [3] : shortCovers,
    }),
  ];
}

function pitcherAt(sport: Ruleset['sport'], pitchingFeet: number, throws: Hand): Place {
  const { forward, aside } = FOLLOWS_THROUGH[sport];
  const out = (pitchingFeet - forward) / Math.SQRT2;
  const side = ((throws === 'right' ? 1 : -1) * aside) / Math.SQRT2;
  return { x: out + side, y: out - side };
}
