import type { TeamDraft } from '@bradyon/contract/teams';
import { PRESET_NAMES, PRESETS, type PresetName } from '@bradyon/core/rules';
import { USUAL_NEEDED_CHANCE } from '@bradyon/core/steals';
import { LEVELS, levelsOf, type LevelName } from '@bradyon/core/timing';
import type { TeamId } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useNavigate } from 'react-router';
import { newId, useContractForm } from '../../api/index.ts';
import { Choice, FormField, FormEnd, FrontPage, useTitle } from '../../ui/index.ts';
import { SignOutDialog } from '../accounts/index.ts';
import { useAddTeam, useTeams } from './useTeams.ts';

/** Making a team or joining one, the first or a further one. */
export function FirstTeamPage() {
  useTitle('Your team');
  const [way, setWay] = useState<'make' | 'join'>('make');
  const { data: teams } = useTeams();
  const [isLeaving, setIsLeaving] = useState(false);
  return (
    <FrontPage title={teams?.length ? 'Another team' : 'Your team'}>
      <Choice
        label="Create a team or join one"
        value={way}
        onChange={setWay}
        options={[
          { value: 'make', text: 'Create a team' },
          { value: 'join', text: 'Join with a code' },
        ]}
      />
      {way === 'make' ? <MakeTeam /> : <JoinTeam />}
      {teams?.length ? (
        <p>
          <Link to="/">Back to your team</Link>
        </p>
      ) : (
        <Button
          variant="link"
          className="front-leave"
          onClick={() => {
            setIsLeaving(true);
          }}
        >
          Sign out
        </Button>
      )}
      {isLeaving && (
        <SignOutDialog
          onClose={() => {
            setIsLeaving(false);
          }}
        />
      )}
    </FrontPage>
  );
}

interface MakeValues {
  name: string;
  preset: PresetName;
  level: LevelName;
}

function MakeTeam() {
  const navigate = useNavigate();
  const add = useAddTeam();
  const [id] = useState(() => newId<TeamId>());
  const { form, errorOf, failure, submit, submitting } = useContractForm<MakeValues, TeamDraft>({
    initial: { name: '', preset: 'fullSizeSeven', level: 'hs' },
    contract: async () => (await import('@bradyon/contract/teams')).teamDraftContract,
    toSend: ({ name, preset, level }) => ({
      id,
      name,
      level,
      ruleset: PRESETS[preset],
      neededChance: USUAL_NEEDED_CHANCE,
      levelChanges: {},
      playChanges: {},
      fieldChanges: { bunts: {}, bases: {} },
      throwLimits: { pitcher: null, catcher: null },
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    }),
    send: async (team) => {
      await add.mutateAsync({ make: team });
      await navigate(`/teams/${team.id}/people`);
    },
  });
  const levels = levelsOf(PRESETS[form.watch('preset')].sport);
  const presetField = form.register('preset', {
    // The levels on offer are those of the sport; the one chosen before may not be among them.
    onChange: (event: { target: { value: PresetName } }) => {
      const [first] = levelsOf(PRESETS[event.target.value].sport).filter((level) =>
        /hs/i.test(level),
      );
      if (first) form.setValue('level', first);
    },
  });
  return (
    <Form noValidate className="front-form" onSubmit={(event) => void submit(event)}>
      <FormField label="Team name" error={errorOf('name')}>
        {(field) => <Form.Control {...field} autoComplete="off" {...form.register('name')} />}
      </FormField>
      <FormField label="Rules" hint="You can change every rule later. Your league's book decides.">
        {(field) => (
          <Form.Select {...field} {...presetField}>
            {PRESET_NAMES.map((preset) => (
              <option key={preset} value={preset}>
                {PRESETS[preset].name}
              </option>
            ))}
          </Form.Select>
        )}
      </FormField>
      <FormField
        label="Level"
        error={errorOf('level')}
        hint="Sets typical times until you time your own players."
      >
        {(field) => (
          <Form.Select {...field} {...form.register('level')}>
            {levels.map((level) => (
              <option key={level} value={level}>
                {LEVELS[level].label}
              </option>
            ))}
          </Form.Select>
        )}
      </FormField>
      <FormEnd failure={failure} submitting={submitting}>
        Create team
      </FormEnd>
    </Form>
  );
}

function JoinTeam() {
  const navigate = useNavigate();
  const add = useAddTeam();
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    { code: string },
    { code: string }
  >({
    initial: { code: '' },
    contract: async () => (await import('@bradyon/contract/teams')).joinContract,
    toSend: (values) => values,
    send: async (join) => {
      const team = await add.mutateAsync(join);
      await navigate(`/teams/${team.id}/timing`);
    },
  });
  return (
    <Form noValidate className="front-form" onSubmit={(event) => void submit(event)}>
      <FormField
        label="Code"
        error={errorOf('code')}
        hint="Your team owner makes one under Team, Staff."
      >
        {(field) => (
          <Form.Control
            {...field}
            autoComplete="off"
            autoCapitalize="characters"
            placeholder="K7QD-93XM"
            {...form.register('code')}
          />
        )}
      </FormField>
      <FormEnd failure={failure} submitting={submitting}>
        Join team
      </FormEnd>
    </Form>
  );
}
