import { LEVELS, type Level, type LevelName } from './levels.ts';

/** One number of a level that a team may set for itself. */
export interface LevelConstant {
  name: string;
  unit: 's' | 'ft' | 'ft/s' | 'ft/s²' | 'mph' | 'degrees' | 'share';
  /** What it is for, to show beside it. */
  note: string;
  min: number;
  max: number;
}

function constant(
  name: string,
  unit: LevelConstant['unit'],
  min: number,
  max: number,
  note: string,
): LevelConstant {
  return { name, unit, min, max, note };
}

const BETWEEN = 'How much players differ (standard deviation).';
const WITHIN = 'How much one player’s tries differ (standard deviation).';
/** Mean, between and within of a kind of time. */
function typicalConstants<K extends string>(key: K, name: string, note: string) {
  return {
    [`${key}.mean`]: constant(name, 's', 0.1, 9, note),
    [`${key}.sdBetween`]: constant(`${name}: between players`, 's', 0.005, 1, BETWEEN),
    [`${key}.sdWithin`]: constant(`${name}: try to try`, 's', 0.005, 1, WITHIN),
  } as Record<`${K}.${'mean' | 'sdBetween' | 'sdWithin'}`, LevelConstant>;
}

/**
 * The numbers of a level that a team can change, by where they stand in `Level`. All are judgement
 * until a team's own attempts say better.
 */
export const LEVEL_CONSTANTS = {
  topSpeed: constant('Top speed of a runner', 'ft/s', 10, 35, 'Reached late in the run.'),
  topSpeedVariation: constant('Top speed: between runners', 'share', 0.005, 0.3, BETWEEN),
  accelerationSeconds: constant(
    'Acceleration of a runner',
    's',
    0.3,
    2,
    'Smaller is quicker. Seeing the first step late is included.',
  ),
  accelerationVariation: constant('Acceleration: between runners', 'share', 0.005, 0.5, BETWEEN),
  runSdSeconds: constant('Steal: try to try', 's', 0.005, 0.5, WITHIN),
  ...typicalConstants('delivery', 'Delivery', 'First move to mitt; softball: release to mitt.'),
  ...typicalConstants('popSecond', 'Pop to second', 'Mitt to glove at second.'),
  ...typicalConstants('popThird', 'Pop to third', 'Mitt to glove at third.'),
  ...typicalConstants('snapToFirst', 'Throw behind at first', 'Mitt to glove at first.'),
  jumpSeconds: constant(
    'Jump',
    's',
    -0.3,
    1,
    'Pitcher’s first move (softball: release) to runner’s first move, as a thumb sees it.',
  ),
  jumpSdSeconds: constant('Jump: try to try', 's', 0.005, 0.5, WITHIN),
  jumpLeftHanderSeconds: constant('Jump on a lefty, later by', 's', 0, 0.5, 'Added.'),
  jumpLeftHanderSdSeconds: constant('Jump on a lefty, more spread by', 's', 0, 0.5, 'Added.'),
  jumpOffSecondSeconds: constant('Jump off second, later by', 's', -0.3, 0.2, 'Added.'),
  slideStepSavesSeconds: constant('Slide step saves', 's', 0, 0.5, 'Where it was never timed.'),
  'tag.onLineSeconds': constant('Tag, throw on line', 's', 0, 1, 'Glove at the bag to the tag.'),
  'tag.onLineSdSeconds': constant('Tag, throw on line: try to try', 's', 0.005, 0.5, WITHIN),
  'tag.offLineSeconds': constant('Tag, throw off line', 's', 0, 1, 'The glove has to come back.'),
  'tag.offLineSdSeconds': constant('Tag, throw off line: try to try', 's', 0.005, 0.5, WITHIN),
  'throws.onLine': constant('Throws on line', 'share', 0.05, 1, 'Of throws that are not wild.'),
  'throws.offLine': constant('Throws off line', 'share', 0, 1, 'Of throws that are not wild.'),
  'throws.wild': constant(
    'Wild throws',
    'share',
    0,
    0.6,
    'The runner is safe, but goes no farther.',
  ),
  'back.reactSeconds': constant(
    'Reading a pickoff',
    's',
    0.05,
    1,
    'Before the runner starts back.',
  ),
  'back.reactSdSeconds': constant('Reading a pickoff: try to try', 's', 0.005, 0.5, WITHIN),
  'back.topSpeed': constant('Speed going back', 'ft/s', 5, 30, 'Crossover step and dive.'),
  'back.accelerationSeconds': constant('Acceleration going back', 's', 0.05, 1.5, 'Effective.'),
  'back.reachFeet': constant('Reach of a dive', 'ft', 1, 9, 'Hips to hand.'),
  'back.moveSdSeconds': constant('Dive back: try to try', 's', 0.005, 0.5, WITHIN),
  'fielder.topSpeed': constant('Speed of a fielder to the bag', 'ft/s', 10, 35, 'Covering second.'),
  'fielder.accelerationSeconds': constant('Acceleration of a fielder', 's', 0.3, 2, 'Effective.'),
} satisfies Record<string, LevelConstant>;

export type LevelConstantKey = keyof typeof LEVEL_CONSTANTS;
export const LEVEL_CONSTANT_KEYS = Object.keys(LEVEL_CONSTANTS) as LevelConstantKey[];

/** A team's own numbers in place of the level's. */
export type LevelChanges = Partial<Record<LevelConstantKey, number>>;

type Branch = Record<string, unknown>;

/** What a constant of a level is; null where the level has no such thing. */
export function constantOf(level: Level, key: LevelConstantKey): number | null {
  const value = key
    .split('.')
    .reduce<unknown>((branch, part) => (branch as Branch)[part], level) as number | undefined;
  return value ?? null;
}

/**
 * A level with a team's own numbers in place of the level's.
 * @throws RangeError when a number lies outside what it may be
 */
export function levelOf(name: LevelName, changes: LevelChanges): Level {
  const level = copyOf(LEVELS[name]);
  for (const [key, value] of Object.entries(changes) as [LevelConstantKey, number][]) {
    const { min, max } = LEVEL_CONSTANTS[key];
    if (!(value >= min && value <= max)) {
      throw new RangeError(`levelOf needs ${key} from ${String(min)} to ${String(max)}`);
    }
    const path = key.split('.');
    const last = path.pop() ?? '';
    const branch = path.reduce<Branch>(
      (at, part) => at[part] as Branch,
      level as unknown as Branch,
    );
    branch[last] = value;
  }
  return level;
}

/** Two storeys deep is all a level has. */
function copyOf(level: Level): Level {
  return Object.fromEntries(
    Object.entries(level).map(([key, value]: [string, unknown]) => [
      key,
      typeof value === 'object' && value !== null ? { ...value } : value,
    ]),
  ) as unknown as Level;
}
