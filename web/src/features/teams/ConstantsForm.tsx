import type { TeamDraft } from '@bradyon/contract/teams';
import type { LevelConstant } from '@bradyon/core/timing';
import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useContractForm } from '../../api/index.ts';
import { FormField, notify, useTitle } from '../../ui/index.ts';
import { figure } from './figure.ts';
import './RulesPage.scss';
import { TeamTabs } from './TeamTabs.tsx';
import { useSaveTeam, useTeam } from './useTeams.ts';

/** One constant with what it usually is, and the team's own where there is one. */
interface OneConstant extends LevelConstant {
  /** Where it stands in the team. */
  path: string;
  usual: number | null;
  own: number | undefined;
}

/** Fields cannot have a point in their name. */
const fieldOf = (path: string): string => path.replaceAll('.', '_');

/** Shares say their range, factors say nothing, all else its unit. */
function labelOf(name: string, unit: LevelConstant['unit'], max: number): string {
  if (unit !== 'share') return `${name}, ${unit}`;
  return max <= 1 ? `${name}, 0 to 1` : name;
}

/** Constants that a team may set for itself; a blank field keeps what is typical. */
export function ConstantsForm({
  title,
  intro,
  constants,
  toSend,
  saved,
}: {
  title: string;
  intro: ReactNode;
  constants: readonly OneConstant[];
  /** The team with what was typed; `own` gives nothing for what is as usual. */
  toSend: (own: (path: string) => number | string | undefined) => object;
  /** What is said afterward. */
  saved: string;
}) {
  useTitle(title);
  const team = useTeam();
  const save = useSaveTeam();
  const isOwner = team.role === 'owner';
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    Record<string, string>,
    TeamDraft
  >({
    initial: Object.fromEntries(
      constants.map(({ path, own }) => [fieldOf(path), String(own ?? '')]),
    ),
    contract: async () => (await import('@bradyon/contract/teams')).teamDraftContract,
    toSend: (values) =>
      toSend((path) => {
        const value = figure(values[fieldOf(path)] ?? '');
        const usual = constants.find((each) => each.path === path)?.usual;
        // What is as the level has it is no change.
        return value === null || value === usual ? undefined : value;
      }),
    fieldOf,
    send: async (changed) => {
      await save.mutateAsync(changed);
      notify(saved);
    },
  });
  return (
    <>
      <div className="page-head">
        <h1>Team</h1>
        <TeamTabs />
      </div>
      <Form noValidate className="rules card-box" onSubmit={(event) => void submit(event)}>
        <p>{intro}</p>
        {!isOwner && <p className="quiet">Only the team owner can change these.</p>}
        <fieldset disabled={!isOwner} className="rules-fields">
          {constants.map(({ path, name, unit, note, max, usual }) => (
            <FormField
              key={path}
              label={labelOf(name, unit, max)}
              hint={note}
              error={errorOf(path)}
            >
              {(field) => (
                <Form.Control
                  {...field}
                  inputMode="decimal"
                  autoComplete="off"
                  placeholder={String(usual ?? '')}
                  {...form.register(fieldOf(path))}
                />
              )}
            </FormField>
          ))}
        </fieldset>
        {failure && (
          <p className="form-failure" role="alert">
            {failure}
          </p>
        )}
        {isOwner && (
          <div className="rules-actions">
            <Button type="submit" disabled={submitting}>
              Save {title.toLowerCase()}
            </Button>
            <Button
              variant="outline-primary"
              onClick={() => {
                for (const { path } of constants) form.setValue(fieldOf(path), '');
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
