export {
  aimMap,
  buntMap,
  gridMiddles,
  priceAims,
  type Aim,
  type BuntGrid,
  type BuntMap,
  type BuntSkill,
  type BuntStakes,
  type PricedAim,
  type PricedAims,
  type Strikes,
} from './aim.ts';
export {
  alignmentOf,
  ALIGNMENTS,
  CORNERS,
  fieldersOf,
  type Alignment,
  type AlignmentName,
  type Corner,
} from './alignment.ts';
export { BUNT_FIGURES, type BuntFigureKey, type BuntFigures } from './figures.ts';
export { hitByDepth, thirdBasemanAt, type DepthStep, type HitDepth } from './hit.ts';
export { interceptBunt, type Intercept } from './intercept.ts';
export { aimOfLane, LANES, lanesFor, textbookLane, type Lane } from './lanes.ts';
export {
  aimNear,
  BUNT_PLAYS,
  gridOf,
  groundOf,
  mapFor,
  ONE_ANSWER_RUNS,
  planBunt,
  readyFor,
  runWorth,
  setupOf,
  skillOf,
  stakesOf,
  swingBy,
  type BuntPlan,
  type BuntPlay,
  type BuntQuestion,
} from './plan.ts';
export { prepareBunt, type ReadyBunt } from './prepare.ts';
export {
  BUNT_LANES,
  BUNT_PACES,
  BUNT_RESULTS,
  BUNT_STYLES,
  laneDegrees,
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
export {
  rolledAfter,
  rollFeet,
  rollSeconds,
  speedToRoll,
  SURFACES,
  type Bunt,
  type Ground,
  type Surface,
} from './roll.ts';
export { resolveSafety } from './safety.ts';
export {
  BUNT_FIELDERS,
  type BuntBatter,
  type BuntFielder,
  type BuntRunner,
  type BuntSetup,
  type Doubt,
  type Fielder,
  type Hands,
} from './setup.ts';
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
