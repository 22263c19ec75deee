import { FIELD_FIGURES, type FieldChanges } from '@bradyon/core/bases';
import { describeChangesMisfit, type PlayChanges } from '@bradyon/core/innings';
import { LEAD_RULES, RE_ENTRIES, SPORTS, type Ruleset } from '@bradyon/core/rules';
import {
  LEVEL_CONSTANT_KEYS,
  LEVEL_CONSTANTS,
  LEVEL_NAMES,
  LEVELS,
  type LevelChanges,
  type LevelName,
  type ThrowLimits,
  type Figure,
} from '@bradyon/core/timing';
import { isTimeZone, type AccountId, type InviteId, type TeamId } from '@bradyon/core/units';
import { codeRule } from './codes.ts';
import { playChangesRule } from './innings.ts';
import { versionField, type Kept } from './kept.ts';
import {
  contract,
  flag,
  id,
  instant,
  listContract,
  nullable,
  number,
  oneOf,
  optional,
  required,
  text,
  type Misfit,
} from './rule.ts';

/** Who is on the staff. */
const STAFF_ROLES = ['owner', 'assistant'] as const;
export type StaffRole = (typeof STAFF_ROLES)[number];
/** On the staff, or in by the code of one game. */
export const ROLES = [...STAFF_ROLES, 'guest'] as const;
export type Role = (typeof ROLES)[number];

/** What a coach decides about his team. */
export interface TeamDraft {
  id: TeamId;
  name: string;
  level: LevelName;
  ruleset: Ruleset;
  /** How often a steal has to work before the call is go, 0..1. */
  neededChance: number;
  /** Their own numbers in place of the level's. */
  levelChanges: LevelChanges;
  /** Their own sheets of how the game goes in place of the level's. */
  playChanges: PlayChanges;
  /** Their own constants of bunts and of the bases in place of the level's. */
  fieldChanges: FieldChanges;
  /** Timed throws of a day. */
  throwLimits: ThrowLimits;
  /** Whose days they are, such as 'America/Chicago'; null: those of whichever device asks. */
  timeZone: string | null;
}

export interface Team extends Kept<TeamDraft> {
  /** The role of whoever asks. */
  role: Role;
}

export interface Member {
  accountId: AccountId;
  name: string;
  role: StaffRole;
}

export interface InviteDraft {
  id: InviteId;
  /** Whether several people may join with it; else it is used up by the first. */
  many: boolean;
}

/** A fresh invitation. Its code is shown once and kept only as a hash. */
export interface Invite extends InviteDraft {
  code: string;
  expiresAt: string;
}

export interface OpenInvite extends InviteDraft {
  expiresAt: string;
}

/** A code with which somebody on the staff sets a new password, once. It is shown once. */
export interface ResetCode {
  code: string;
}

export interface Join {
  code: string;
}

const rulesetContract = contract<Ruleset>({
  name: required(text('Name these rules, up to 80 letters.', { max: 80 })),
  sport: required(oneOf(SPORTS, 'Choose baseball or softball.')),
  baseDistanceFeet: required(
    number('Enter the distance between bases, 30 to 120 ft.', { min: 30, max: 120 }),
  ),
  pitchingDistanceFeet: required(
    number('Enter the pitching distance, 20 to 70 ft.', { min: 20, max: 70 }),
  ),
  innings: required(
    number('Enter the innings of a full game, 1 to 12.', { min: 1, max: 12, whole: true }),
  ),
  leadRule: required(oneOf(LEAD_RULES, 'Choose when a runner may leave the bag.')),
  stealAllowed: required(flag('Say whether stealing is allowed.')),
  buntAllowed: required(flag('Say whether bunting is allowed.')),
  headFirstAllowed: required(flag('Say whether head-first slides are allowed.')),
  devicesAllowed: required(flag('Say whether devices are allowed in the box.')),
  runRuleRuns: required(
    nullable(
      number('Enter a lead of 1 to 30 runs, or leave it blank.', { min: 1, max: 30, whole: true }),
    ),
  ),
  runRuleAfterInning: required(
    nullable(
      number('Enter an inning from 1 to 12, or leave it blank.', { min: 1, max: 12, whole: true }),
    ),
  ),
  tieBreakerFromInning: required(
    nullable(
      number('Enter an inning from 1 to 20, or leave it blank.', { min: 1, max: 20, whole: true }),
    ),
  ),
  pickLimit: required(
    nullable(number('Enter 1 to 9 throws, or leave it blank.', { min: 1, max: 9, whole: true })),
  ),
  runLimitPerHalf: required(
    nullable(number('Enter 1 to 30 runs, or leave it blank.', { min: 1, max: 30, whole: true })),
  ),
  runLimitLastOpen: required(flag('Say whether the last inning has a run limit.')),
  droppedThirdStrike: required(flag('Say whether a batter may run on a dropped third strike.')),
  infieldFly: required(flag('Say whether the infield fly is called.')),
  reEntry: required(oneOf(RE_ENTRIES, 'Choose who may come back into a game.')),
  courtesyRunner: required(flag('Say whether there are courtesy runners.')),
  continuousOrder: required(flag('Say whether everybody bats.')),
  illegalPitchAdvances: required(flag('Say whether an illegal pitch gives runners a base.')),
});

const throwLimit = required(
  nullable(number('Enter 1 to 300 throws, or leave it blank.', { min: 1, max: 300, whole: true })),
);

/** One rule per constant, each saying what it may be. */
const changeFields = Object.fromEntries(
  LEVEL_CONSTANT_KEYS.map((key) => {
    const { name, min, max } = LEVEL_CONSTANTS[key];
    return [
      key,
      optional(number(`${name}: enter ${String(min)} to ${String(max)}.`, { min, max })),
    ];
  }),
) as Parameters<typeof contract<LevelChanges>>[0];

export const levelChangesRule = contract<LevelChanges>(changeFields);

/** One rule per figure of the field, each saying what it may be. */
function figureRules(figures: Readonly<Record<string, Figure>>) {
  return Object.fromEntries(
    Object.entries(figures).map(([key, { name, min, max }]) => [
      key,
      optional(number(`${name}: enter ${String(min)} to ${String(max)}.`, { min, max })),
    ]),
  );
}
const fieldChangesContract = contract<FieldChanges>({
  bunts: required(
    contract<FieldChanges['bunts']>(
      figureRules(FIELD_FIGURES.bunts) as Parameters<typeof contract<FieldChanges['bunts']>>[0],
    ),
  ),
  bases: required(
    contract<FieldChanges['bases']>(
      figureRules(FIELD_FIGURES.bases) as Parameters<typeof contract<FieldChanges['bases']>>[0],
    ),
  ),
});

export const teamDraftFields = {
  id: required(id<TeamId>()),
  name: required(text("Enter the team's name, up to 80 letters.", { max: 80 })),
  level: required(oneOf(LEVEL_NAMES, 'Choose the level you play at.')),
  ruleset: required(rulesetContract),
  neededChance: required(
    number('Enter a chance from 50 to 99%.', { min: 0.5, max: 0.99, decimals: 3 }),
  ),
  levelChanges: required(levelChangesRule),
  playChanges: required(playChangesRule),
  fieldChanges: required(fieldChangesContract),
  throwLimits: required(contract<ThrowLimits>({ pitcher: throwLimit, catcher: throwLimit })),
  timeZone: required(
    nullable(text('Choose a time zone from the list.', { max: 64, pattern: /^[\w+\-/]+$/ })),
  ),
};

/** What of a team does not go together, or null. */
export function teamMisfit(team: Omit<TeamDraft, 'id'>): Misfit | null {
  const { level, ruleset, playChanges, timeZone } = team;
  if (timeZone !== null && !isTimeZone(timeZone)) {
    return { path: 'timeZone', message: 'Choose a time zone from the list.' };
  }
  const sheet = describeChangesMisfit(playChanges);
  if (sheet) return { ...sheet, path: `playChanges.${sheet.path}` };
  if (LEVELS[level].sport !== ruleset.sport) {
    return {
      path: 'level',
      message: `Choose a ${ruleset.sport} level for ${ruleset.sport} rules.`,
    };
  }
  if ((ruleset.runRuleRuns === null) !== (ruleset.runRuleAfterInning === null)) {
    const path = ruleset.runRuleRuns === null ? 'runRuleRuns' : 'runRuleAfterInning';
    return {
      path: `ruleset.${path}`,
      message: 'A run rule needs both the runs and the inning. Fill in both or neither.',
    };
  }
  return null;
}

export const teamDraftContract = contract<TeamDraft>(teamDraftFields, teamMisfit);
export const teamChangeContract = contract<Kept<TeamDraft>>(
  { ...teamDraftFields, version: versionField },
  teamMisfit,
);

export const teamContract = contract<Team>({
  ...teamDraftFields,
  version: versionField,
  role: required(oneOf(ROLES, 'owner, assistant or guest')),
});
export const teamsContract = listContract(teamContract);

export const membersContract = listContract(
  contract<Member>({
    accountId: required(id<AccountId>()),
    name: required(text('A name.', { max: 80 })),
    role: required(oneOf(STAFF_ROLES, 'owner or assistant')),
  }),
);

const inviteFields = {
  id: required(id<InviteId>()),
  many: required(flag('Say whether more than one person may use it.')),
};
export const inviteDraftContract = contract<InviteDraft>(inviteFields);

export const inviteContract = contract<Invite>({
  ...inviteFields,
  code: required(text('A code.', { max: 20 })),
  expiresAt: required(instant('An instant.')),
});

export const openInvitesContract = listContract(
  contract<OpenInvite>({ ...inviteFields, expiresAt: required(instant('An instant.')) }),
);

export const resetCodeContract = contract<ResetCode>({
  code: required(text('A code.', { max: 20 })),
});

export const joinContract = contract<Join>({
  code: required(codeRule('Enter your code: eight letters and digits, like K7QD-93XM.')),
});
