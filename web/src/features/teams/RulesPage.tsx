import type { TeamDraft } from '@bradyon/contract/teams';
import {
  LEAD_RULES,
  PRESET_NAMES,
  PRESETS,
  RE_ENTRIES,
  SPORTS,
  type PresetName,
  type ReEntry,
  type Ruleset,
} from '@bradyon/core/rules';
import { NO_FIELD_CHANGES } from '@bradyon/core/bases';
import { LEVELS, levelsOf, type LevelName } from '@bradyon/core/timing';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useContractForm } from '../../api/index.ts';
import { distanceAsTaken, distanceUnit, FormField, notify, useTitle } from '../../ui/index.ts';
import { figure } from './figure.ts';
import './RulesPage.scss';
import { TeamTabs } from './TeamTabs.tsx';
import { useSaveTeam, useTeam } from './useTeams.ts';

/** What is typed: figures are text until they are sent. */
type Typed = { [Key in keyof Ruleset]: Ruleset[Key] extends boolean ? boolean : string };
interface Values extends Omit<Typed, 'name'> {
  name: string;
  rulesName: string;
  level: LevelName;
  neededPercent: string;
  pitcherThrows: string;
  catcherThrows: string;
  /** Empty: each device's own. */
  timeZone: string;
}

const LEAD_RULE_OPTIONS = {
  open: 'Any time: leads are open',
  atRelease: 'When the pitch is released',
  reachesBatter: 'When the pitch reaches the batter',
} as const;

const FIGURES: { key: keyof Ruleset & keyof Values; label: string; unit: string; hint?: string }[] =
  [
    { key: 'baseDistanceFeet', label: 'Between bases', unit: 'ft' },
    { key: 'pitchingDistanceFeet', label: 'Pitching distance', unit: 'ft' },
    { key: 'innings', label: 'Innings', unit: '' },
    { key: 'runRuleRuns', label: 'Run rule: lead of', unit: 'runs', hint: 'Blank: none' },
    { key: 'runRuleAfterInning', label: 'Run rule: after inning', unit: '', hint: 'Blank: none' },
    {
      key: 'tieBreakerFromInning',
      label: 'Tie-breaker from inning',
      unit: '',
      hint: 'Blank: none',
    },
    { key: 'pickLimit', label: 'Throws to a base per batter', unit: '', hint: 'Blank: no limit' },
    { key: 'runLimitPerHalf', label: 'Runs per half inning', unit: '', hint: 'Blank: no limit' },
  ];

const FLAGS: {
  key:
    | 'stealAllowed'
    | 'buntAllowed'
    | 'headFirstAllowed'
    | 'devicesAllowed'
    | 'runLimitLastOpen'
    | 'droppedThirdStrike'
    | 'infieldFly'
    | 'courtesyRunner'
    | 'continuousOrder'
    | 'illegalPitchAdvances';
  label: string;
}[] = [
  { key: 'stealAllowed', label: 'Stealing allowed' },
  { key: 'buntAllowed', label: 'Bunting allowed' },
  { key: 'headFirstAllowed', label: 'Head-first slides allowed' },
  { key: 'devicesAllowed', label: "Devices allowed in the coach's box" },
  { key: 'droppedThirdStrike', label: 'Dropped third strike: the batter may run' },
  { key: 'infieldFly', label: 'Infield fly rule' },
  { key: 'courtesyRunner', label: 'Courtesy runners for pitcher and catcher' },
  { key: 'continuousOrder', label: 'Everybody bats' },
  { key: 'illegalPitchAdvances', label: 'Illegal pitch: runners move up' },
  { key: 'runLimitLastOpen', label: 'No run limit in the last inning' },
];

const RE_ENTRY_OPTIONS: Record<ReEntry, string> = {
  none: 'Nobody comes back',
  startersOnce: 'Starters, once, same spot',
  free: 'Anybody, any time',
};

type TypedRules = Omit<
  Values,
  'name' | 'level' | 'neededPercent' | 'pitcherThrows' | 'catcherThrows' | 'timeZone'
>;

function typedOf(ruleset: Ruleset): TypedRules {
  const { name, ...rules } = ruleset;
  const entries = Object.entries(rules).map(([key, value]) => [
    key,
    typeof value === 'boolean' ? value : value === null ? '' : String(value),
  ]);
  return { rulesName: name, ...(Object.fromEntries(entries) as Omit<Typed, 'name'>) };
}

const FIELD_OF: Record<string, string> = {
  'ruleset.name': 'rulesName',
  neededChance: 'neededPercent',
  'throwLimits.pitcher': 'pitcherThrows',
  'throwLimits.catcher': 'catcherThrows',
};

function shareOf(percent: ReturnType<typeof figure>): ReturnType<typeof figure> {
  return typeof percent === 'number' ? percent / 100 : percent;
}

export function RulesPage() {
  useTitle('Rules');
  const team = useTeam();
  const save = useSaveTeam();
  const isOwner = team.role === 'owner';
  const { form, errorOf, failure, submit, submitting } = useContractForm<Values, TeamDraft>({
    initial: {
      name: team.name,
      level: team.level,
      neededPercent: String(Math.round(team.neededChance * 100)),
      pitcherThrows: String(team.throwLimits.pitcher ?? ''),
      catcherThrows: String(team.throwLimits.catcher ?? ''),
      timeZone: team.timeZone ?? '',
      ...typedOf(team.ruleset),
    },
    contract: async () => (await import('@bradyon/contract/teams')).teamDraftContract,
    toSend: (values) => ({
      id: team.id,
      name: values.name,
      level: values.level,
      neededChance: shareOf(figure(values.neededPercent)),
      // Another level has other numbers: one's own were against the old one.
      levelChanges: values.level === team.level ? team.levelChanges : {},
      playChanges: values.level === team.level ? team.playChanges : {},
      fieldChanges: values.level === team.level ? team.fieldChanges : NO_FIELD_CHANGES,
      throwLimits: {
        pitcher: figure(values.pitcherThrows),
        catcher: figure(values.catcherThrows),
      },
      timeZone: values.timeZone === '' ? null : values.timeZone,
      ruleset: {
        name: values.rulesName,
        sport: values.sport,
        leadRule: values.leadRule,
        reEntry: values.reEntry,
        ...Object.fromEntries(FIGURES.map(({ key }) => [key, figure(values[key] as string)])),
        ...Object.fromEntries(FLAGS.map(({ key }) => [key, values[key]])),
      },
    }),
    fieldOf: (path) => FIELD_OF[path] ?? path.replace('ruleset.', ''),
    send: async (draft) => {
      await save.mutateAsync(draft);
      notify('Rules saved');
    },
  });
  const sport = form.watch('sport') as Ruleset['sport'];

  const takePreset = (preset: PresetName): void => {
    const rules = typedOf(PRESETS[preset]);
    for (const [key, value] of Object.entries(rules)) form.setValue(key as keyof Values, value);
    keepLevelFitting(PRESETS[preset].sport);
  };
  const keepLevelFitting = (newSport: Ruleset['sport']): void => {
    const levels = levelsOf(newSport);
    const [fallback] = levels.filter((level) => /hs/i.test(level));
    if (!levels.includes(form.getValues('level')) && fallback) form.setValue('level', fallback);
  };

  return (
    <>
      <div className="page-head">
        <h1>Team</h1>
        <TeamTabs />
      </div>
      <Form noValidate className="rules card-box" onSubmit={(event) => void submit(event)}>
        {!isOwner && <p className="quiet">Only the team owner can change these.</p>}
        <fieldset disabled={!isOwner} className="rules-fields">
          <FormField label="Team name" error={errorOf('name')}>
            {(field) => <Form.Control {...field} {...form.register('name')} />}
          </FormField>
          <FormField label="Level" error={errorOf('level')} hint={LEVELS[form.watch('level')].note}>
            {(field) => (
              <Form.Select {...field} {...form.register('level')}>
                {levelsOf(sport).map((level) => (
                  <option key={level} value={level}>
                    {LEVELS[level].label}
                  </option>
                ))}
              </Form.Select>
            )}
          </FormField>
          <FormField
            label="Time zone"
            error={errorOf('timeZone')}
            hint="Sets which day a practice belongs to."
          >
            {(field) => (
              <Form.Select {...field} {...form.register('timeZone')}>
                <option value="">Same as the device</option>
                {Intl.supportedValuesOf('timeZone').map((zone) => (
                  <option key={zone} value={zone}>
                    {zone.replaceAll('_', ' ')}
                  </option>
                ))}
              </Form.Select>
            )}
          </FormField>
          <FormField
            label="Chance a steal needs, %"
            error={errorOf('neededChance')}
            hint="80 is the common rule, four out of five."
          >
            {(field) => (
              <Form.Control {...field} inputMode="decimal" {...form.register('neededPercent')} />
            )}
          </FormField>
          {(
            [
              ['pitcherThrows', 'pitcher', 'Pitcher throws per day'],
              ['catcherThrows', 'catcher', 'Catcher throws per day'],
            ] as const
          ).map(([name, thrower, label]) => (
            <FormField
              key={name}
              label={label}
              hint="Blank: no limit. The league's pitch count and a trainer decide."
              error={errorOf(`throwLimits.${thrower}`)}
            >
              {(field) => <Form.Control {...field} inputMode="numeric" {...form.register(name)} />}
            </FormField>
          ))}
          <hr />
          <FormField label="Start from" hint="Fills in the rest.">
            {(field) => (
              <Form.Select
                {...field}
                value=""
                onChange={({ target }) => {
                  takePreset(target.value as PresetName);
                }}
              >
                <option value="" disabled>
                  Choose a preset
                </option>
                {PRESET_NAMES.map((preset) => (
                  <option key={preset} value={preset}>
                    {PRESETS[preset].name}
                  </option>
                ))}
              </Form.Select>
            )}
          </FormField>
          <FormField label="Name for these rules" error={errorOf('ruleset.name')}>
            {(field) => <Form.Control {...field} {...form.register('rulesName')} />}
          </FormField>
          <FormField label="Sport" error={errorOf('ruleset.sport')}>
            {(field) => (
              <Form.Select
                {...field}
                {...form.register('sport', {
                  onChange: (event: { target: { value: Ruleset['sport'] } }) => {
                    keepLevelFitting(event.target.value);
                  },
                })}
              >
                {SPORTS.map((each) => (
                  <option key={each} value={each}>
                    {each === 'baseball' ? 'Baseball' : 'Softball'}
                  </option>
                ))}
              </Form.Select>
            )}
          </FormField>
          <FormField label="Runners may leave" error={errorOf('ruleset.leadRule')}>
            {(field) => (
              <Form.Select {...field} {...form.register('leadRule')}>
                {LEAD_RULES.map((rule) => (
                  <option key={rule} value={rule}>
                    {LEAD_RULE_OPTIONS[rule]}
                  </option>
                ))}
              </Form.Select>
            )}
          </FormField>
          <FormField label="Coming back into a game" error={errorOf('ruleset.reEntry')}>
            {(field) => (
              <Form.Select {...field} {...form.register('reEntry')}>
                {RE_ENTRIES.map((each) => (
                  <option key={each} value={each}>
                    {RE_ENTRY_OPTIONS[each]}
                  </option>
                ))}
              </Form.Select>
            )}
          </FormField>
          {FIGURES.map(({ key, label, unit, hint }) => (
            <FormField
              key={key}
              label={unit ? `${label}, ${unit}` : label}
              hint={
                unit === 'ft' && distanceUnit() === 'm'
                  ? distanceAsTaken(Number(form.watch(key)) || 0)
                  : hint
              }
              error={errorOf(`ruleset.${key}`)}
            >
              {(field) => <Form.Control {...field} inputMode="decimal" {...form.register(key)} />}
            </FormField>
          ))}
          <div className="rules-flags">
            {FLAGS.map(({ key, label }) => (
              <Form.Check key={key} id={key} label={label} {...form.register(key)} />
            ))}
          </div>
        </fieldset>
        <p className="rules-note">
          These are starting points. Your league&rsquo;s book and the umpire decide.
        </p>
        {failure && (
          <p className="form-failure" role="alert">
            {failure}
          </p>
        )}
        {isOwner && (
          <Button type="submit" disabled={submitting}>
            Save rules
          </Button>
        )}
      </Form>
    </>
  );
}
