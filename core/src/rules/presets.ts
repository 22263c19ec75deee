import type { Ruleset } from './ruleset.ts';

export const PRESET_NAMES = [
  'fullSizeNine',
  'fullSizeSeven',
  'intermediate',
  'smallDiamond',
  'fastpitch43',
  'fastpitch40',
] as const;
export type PresetName = (typeof PRESET_NAMES)[number];

const fullSizeNine: Ruleset = {
  name: 'Full-size baseball, 9 innings',
  sport: 'baseball',
  baseDistanceFeet: 90,
  pitchingDistanceFeet: 60.5,
  innings: 9,
  leadRule: 'open',
  stealAllowed: true,
  buntAllowed: true,
  headFirstAllowed: true,
  devicesAllowed: false,
  runRuleRuns: null,
  runRuleAfterInning: null,
  tieBreakerFromInning: null,
  pickLimit: null,
  runLimitPerHalf: null,
  runLimitLastOpen: true,
  droppedThirdStrike: true,
  infieldFly: true,
  reEntry: 'none',
  courtesyRunner: false,
  continuousOrder: false,
  illegalPitchAdvances: false,
};

const fullSizeSeven: Ruleset = {
  ...fullSizeNine,
  name: 'High school baseball, 7 innings',
  innings: 7,
  runRuleRuns: 10,
  runRuleAfterInning: 5,
  reEntry: 'startersOnce',
  courtesyRunner: true,
};

const fastpitch43: Ruleset = {
  ...fullSizeSeven,
  name: 'Fastpitch softball, 43 ft',
  sport: 'softball',
  baseDistanceFeet: 60,
  pitchingDistanceFeet: 43,
  leadRule: 'atRelease',
  tieBreakerFromInning: 8,
  illegalPitchAdvances: true,
};

/**
 * Where a team's rules start from. Distances are the field's own; run rule, tie-breaker, lineups and the
 * rest differ from league to league and are only the commonest choice.
 */
export const PRESETS: Record<PresetName, Ruleset> = {
  fullSizeNine,
  fullSizeSeven,
  intermediate: {
    ...fullSizeSeven,
    name: 'Intermediate baseball, 70 ft bases',
    baseDistanceFeet: 70,
    pitchingDistanceFeet: 50,
    runRuleAfterInning: 4,
  },
  smallDiamond: {
    ...fullSizeSeven,
    name: 'Small diamond, 60 ft bases',
    baseDistanceFeet: 60,
    pitchingDistanceFeet: 46,
    innings: 6,
    leadRule: 'reachesBatter',
    headFirstAllowed: false,
    runRuleAfterInning: 4,
    courtesyRunner: false,
  },
  fastpitch43,
  fastpitch40: {
    ...fastpitch43,
    name: 'Fastpitch softball, 40 ft',
    pitchingDistanceFeet: 40,
    headFirstAllowed: false,
  },
};
