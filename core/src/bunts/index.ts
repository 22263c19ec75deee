export {
  aimMap,
  buntMap,
  priceAims,
  type BuntGrid,
  type BuntSkill,
  type PricedAim,
  type Strikes,
} from './aim.ts';
export {
  alignmentOf,
  ALIGNMENTS,
  fieldersOf,
  type Alignment,
  type AlignmentName,
} from './alignment.ts';
export { BUNT_FIGURES, type BuntFigureKey, type BuntFigures } from './figures.ts';
export { hitByDepth, type HitDepth } from './hit.ts';
export { interceptBunt } from './intercept.ts';
export { aimOfLane, lanesFor, textbookLane, type Lane } from './lanes.ts';
export {
  aimNear,
  gridOf,
  groundOf,
  ONE_ANSWER_RUNS,
  planBunt,
  skillOf,
  stakesOf,
  swingBy,
  type BuntPlan,
  type BuntPlay,
  type BuntQuestion,
} from './plan.ts';
export { prepareBunt } from './prepare.ts';
export {
  BUNT_LANES,
  BUNT_PACES,
  BUNT_RESULTS,
  BUNT_STYLES,
  laneDegrees,
  triesBy,
  ownBunting,
  PITCH_HEIGHTS,
  type BuntLane,
  type BuntPace,
  type BuntResult,
  type BuntStyle,
  type BuntTry,
  type OwnBunting,
  type PitchHeight,
} from './record.ts';
export { resolveBunt, type Bunted } from './resolve.ts';
export { rolledAfter, rollFeet, rollSeconds, speedToRoll, SURFACES, type Surface } from './roll.ts';
export { resolveSafety } from './safety.ts';
export { BUNT_FIELDERS, type BuntFielder, type BuntSetup } from './setup.ts';
export {
  lateShow,
  pitchOutChance,
  shownLate,
  squeezeOutcome,
  squeezeRunner,
  type SqueezeClock,
  type SqueezeOutcome,
} from './squeeze.ts';
export {
  breaksFor,
  readSqueeze,
  squeezeTable,
  squeezeWorth,
  type SqueezeTable,
} from './squeezeTable.ts';
export { SHOWS, worthByShow, type Show } from './schools.ts';
export { knownBunt, sacrificeOutcomes, squeezeOutcomes } from './outcomes.ts';
