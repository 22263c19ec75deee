import type { TeamDraft } from '@bradyon/contract/teams';
import { playLevelOf, type PlayChanges, type TeamLevel } from '@bradyon/core/innings';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useWatch, type Control } from 'react-hook-form';
import { useContractForm } from '../../api/index.ts';
import { FormField, notify, useTitle } from '../../ui/index.ts';
import { figure, useSaveTeam, useTeam } from '../teams/index.ts';
import './OddsPage.scss';
import { OddsTabs } from './OddsTabs.tsx';
import { fieldOf, inPercent, sentSheets, SHEETS, sumOf, type SheetName } from './rates.ts';

type Values = Record<string, string>;

/** How the game goes at the level, sheet by sheet, and a team's own figures in its place. */
export function RatesPage() {
  useTitle('Rates');
  const team = useTeam();
  const save = useSaveTeam();
  const isOwner = team.role === 'owner';
  const level = playLevelOf(team.level, {});
  const { role: _role, version: _version, ...draft } = team;
  const { form, errorOf, failure, submit, submitting } = useContractForm<Values, TeamDraft>({
    initial: initialOf(level, team.playChanges),
    contract: async () => (await import('@bradyon/contract/teams')).teamDraftContract,
    toSend: (values) => ({ ...draft, playChanges: sentSheets(level, values, figure) }),
    // What is wrong with a sheet as a whole is said at its first field.
    fieldOf: (path) => {
      const [, name = '', key] = path.split('.');
      const sheet = SHEETS.find((each) => each.name === name);
      return sheet ? fieldOf(sheet.name, key ?? sheet.shares[0]?.key ?? '') : path;
    },
    send: async (changed) => {
      await save.mutateAsync(changed);
      notify('Rates saved. All odds are updated');
    },
  });
  return (
    <>
      <div className="page-head">
        <h1>Rates</h1>
        <OddsTabs />
      </div>
      <Form noValidate className="rates" onSubmit={(event) => void submit(event)}>
        <p>
          In percent. {level.note} Leave a field blank for the level&rsquo;s number. Your
          batters&rsquo; own stats are under Lineup.
        </p>
        {!isOwner && <p className="quiet">Only the team owner can change these.</p>}
        <fieldset disabled={!isOwner} className="rates-sheets">
          {SHEETS.map(({ name, title, note, shares, isWhole }) => (
            <section key={name} className="card-box">
              <h2>{title}</h2>
              <p className="quiet">{note}</p>
              <div className="rates-fields">
                {shares.map(({ key, text }) => (
                  <FormField key={key} label={text} error={errorOf(`playChanges.${name}.${key}`)}>
                    {(field) => (
                      <Form.Control
                        {...field}
                        inputMode="decimal"
                        autoComplete="off"
                        placeholder={inPercent(usual(level, name, key))}
                        {...form.register(fieldOf(name, key))}
                      />
                    )}
                  </FormField>
                ))}
              </div>
              {isWhole && <Sum control={form.control} level={level} name={name} />}
              {errorOf(`playChanges.${name}`) && (
                <p className="odds-misfit" role="alert">
                  {errorOf(`playChanges.${name}`)}
                </p>
              )}
            </section>
          ))}
        </fieldset>
        {failure && (
          <p className="form-failure" role="alert">
            {failure}
          </p>
        )}
        {isOwner && (
          <div className="rates-actions">
            <Button type="submit" disabled={submitting}>
              Save rates
            </Button>
            <Button
              variant="outline-primary"
              onClick={() => {
                for (const { name, shares } of SHEETS) {
                  for (const { key } of shares) form.setValue(fieldOf(name, key), '');
                }
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

/** What a sheet adds up to while it is filled in. */
function Sum({
  control,
  level,
  name,
}: {
  control: Control<Values>;
  level: TeamLevel;
  name: SheetName;
}) {
  const values = useWatch({ control });
  const sum = sumOf(level, name, values, figure);
  if (sum === null) return null;
  const lacking = Math.round((100 - sum) * 10) / 10;
  return (
    <p role="status">
      Total <strong className="figure">{sum.toFixed(1)}&nbsp;%</strong>
      {lacking === 0
        ? '.'
        : lacking > 0
          ? `. ${lacking.toFixed(1)} to go.`
          : `. ${(-lacking).toFixed(1)} too many.`}
    </p>
  );
}

function usual(level: TeamLevel, name: SheetName, key: string): number {
  const sheet = SHEETS.find((each) => each.name === name);
  return sheet?.of(level)[key] ?? 0;
}

function initialOf(level: TeamLevel, changes: PlayChanges): Values {
  return Object.fromEntries(
    SHEETS.flatMap(({ name, shares }) =>
      shares.map(({ key }) => {
        const own = (changes[name] as Record<string, number> | undefined)?.[key];
        const shown = own === undefined || own === usual(level, name, key) ? '' : inPercent(own);
        return [fieldOf(name, key), shown];
      }),
    ),
  );
}
