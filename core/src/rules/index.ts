export { PRESET_NAMES, PRESETS, type PresetName } from './presets.ts';
export {
  describeLeadRule,
  LEAD_RULES,
  SPORTS,
  type LeadRule,
  type Ruleset,
  type Sport,
} from './ruleset.ts';
