export { PRESET_NAMES, PRESETS, type PresetName } from './presets.ts';
export {
  describeLeadRule,
  LEAD_RULES,
  RE_ENTRIES,
  type ReEntry,
  SPORTS,
  type Ruleset,
  timesFromRelease,
  type Sport,
} from './ruleset.ts';
