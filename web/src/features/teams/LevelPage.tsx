import type { TeamDraft } from '@bradyon/contract/teams';
import {
  constantOf,
  LEVEL_CONSTANT_KEYS,
  LEVEL_CONSTANTS,
  LEVELS,
  type LevelConstantKey,
} from '@bradyon/core/timing';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useContractForm } from '../../api/index.ts';
import { FormField, notify, useTitle } from '../../ui/index.ts';
import { figure } from './figure.ts';
import './RulesPage.scss';
import { TeamTabs } from './TeamTabs.tsx';
import { useSaveTeam, useTeam } from './useTeams.ts';

/** Fields cannot have a point in their name. */
type FieldName = string;
const fieldOf = (key: LevelConstantKey): FieldName => key.replace('.', '_');

/** What is typical of the level, and a team's own numbers in its place. */
export function LevelPage() {
  useTitle('Level');
  const team = useTeam();
  const save = useSaveTeam();
  const isOwner = team.role === 'owner';
  const level = LEVELS[team.level];
  const { role: _role, version: _version, ...draft } = team;
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    Record<FieldName, string>,
    TeamDraft
  >({
    initial: Object.fromEntries(
      LEVEL_CONSTANT_KEYS.map((key) => [fieldOf(key), String(team.levelChanges[key] ?? '')]),
    ),
    contract: async () => (await import('@bradyon/contract/teams')).teamDraftContract,
    toSend: (values) => ({
      ...draft,
      levelChanges: Object.fromEntries(
        LEVEL_CONSTANT_KEYS.flatMap((key) => {
          const value = figure(values[fieldOf(key)] ?? '');
          // What is as the level has it is no change.
          return value === null || value === constantOf(level, key) ? [] : [[key, value]];
        }),
      ),
    }),
    fieldOf: (path) => path.replace('levelChanges.', '').replace('.', '_'),
    send: async (changed) => {
      await save.mutateAsync(changed);
      notify('Level saved. Every number is updated');
    },
  });
  return (
    <>
      <div className="page-head">
        <h1>Team</h1>
        <TeamTabs />
      </div>
      <Form noValidate className="rules card-box" onSubmit={(event) => void submit(event)}>
        <p>
          Typical for <strong>{level.label}</strong>. {level.note} Leave a field blank to keep the
          typical number.
        </p>
        {!isOwner && <p className="quiet">Only the team owner can change these.</p>}
        <fieldset disabled={!isOwner} className="rules-fields">
          {LEVEL_CONSTANT_KEYS.map((key) => {
            const { name, unit, note } = LEVEL_CONSTANTS[key];
            const usual = constantOf(level, key);
            return (
              <FormField
                key={key}
                label={unit === 'share' ? `${name}, 0 to 1` : `${name}, ${unit}`}
                hint={note}
                error={errorOf(`levelChanges.${key}`)}
              >
                {(field) => (
                  <Form.Control
                    {...field}
                    inputMode="decimal"
                    autoComplete="off"
                    placeholder={String(usual ?? '')}
                    {...form.register(fieldOf(key))}
                  />
                )}
              </FormField>
            );
          })}
        </fieldset>
        {failure && (
          <p className="form-failure" role="alert">
            {failure}
          </p>
        )}
        {isOwner && (
          <div className="rules-actions">
            <Button type="submit" disabled={submitting}>
              Save level
            </Button>
            <Button
              variant="outline-primary"
              onClick={() => {
                for (const key of LEVEL_CONSTANT_KEYS) form.setValue(fieldOf(key), '');
              }}
            >
              Clear all
            </Button>
          </div>
        )}
      </Form>
    </>
  );
}
