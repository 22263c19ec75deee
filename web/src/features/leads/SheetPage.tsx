import { longestLead } from '@bradyon/core/leads';
import { Link } from 'react-router';
import {
  distance,
  distanceDown,
  distanceUnit,
  Empty,
  Failure,
  Loading,
  Sheet,
  useTitle,
} from '../../ui/index.ts';
import { FacingSelect, handWord, personLabel, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { LeadTabs } from './LeadTabs.tsx';
import { LeaveView } from './LeaveView.tsx';
import { useLeadDraft } from './leadStore.ts';
import { spreadOfEstimate, useLeads, type Leads } from './useLeads.ts';
import { CORNER_TEXT, RISK_TEXT } from './words.ts';

/** Each runner's leads against each of their pitchers, to print for the game. */
export function SheetPage() {
  useTitle('Lead sheet');
  // Nothing supposed goes on paper; where nobody leads off there is no sheet.
  const leads = useLeads({ whatIf: useTeam().ruleset.leadRule !== 'open' });
  const { team, onField } = leads;
  if (leads.error) return <Failure error={leads.error} retry={leads.retry} />;
  if (leads.isLoading) return <Loading what="your times" />;
  if (team.ruleset.leadRule !== 'open') return <LeaveView leads={leads} />;
  const hasAll = onField.runners.length > 0 && onField.pitcher !== null;
  return (
    <>
      <div className="page-head">
        <h1>Lead sheet</h1>
        <LeadTabs />
      </div>
      <div className="control-row lead-who no-print">
        <FacingSelect />
      </div>
      {hasAll ? (
        <Sheet title="Lead sheet">{() => <LeadSheet leads={leads} />}</Sheet>
      ) : (
        <Empty title="Add your runners and their pitchers.">
          <Link className="btn btn-primary" to={`/teams/${team.id}/people`}>
            Add players
          </Link>
        </Empty>
      )}
    </>
  );
}

function LeadSheet({ leads }: { leads: Leads }) {
  const { team, onField, times } = leads;
  const { corner, risk } = useLeadDraft();
  const { opponents } = usePeople(team.id);
  const pitchers = onField.pitchers.filter(({ positions }) => positions.includes('P'));
  const them = opponents.find(({ id }) => id === onField.facing)?.name ?? 'ourselves';
  const columns = pitchers.flatMap((pitcher) => {
    const move = leads.moveOf(pitcher, 'first');
    return move ? [{ pitcher, move }] : [];
  });
  const today = new Intl.DateTimeFormat('en', { dateStyle: 'medium' }).format(new Date());
  return (
    <>
      <h2>
        {team.name} on {them}: leads off first, {distanceUnit()}
      </h2>
      <p>
        Longest safe two-way and one-way lead, {CORNER_TEXT[corner].toLowerCase()}: out on no more
        than {RISK_TEXT[String(risk)]} throws over.
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">
              Runner
              <br />
              <small>own lead</small>
            </th>
            {columns.map(({ pitcher, move }) => (
              <th key={pitcher.id} scope="col">
                {pitcher.name}
                <br />
                <small>
                  {handWord(pitcher.throws)}, {move.meanSeconds.toFixed(2)}
                  {move.count === 0 ? ' *' : ''}
                </small>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {onField.runners.map((runner) => {
            const own = leads.returnOf(runner);
            return (
              <tr key={runner.id}>
                <th scope="row">
                  {personLabel(runner)}
                  {own.timed + own.dived === 0 ? ' *' : ''}
                  <br />
                  <small>
                    {runner.leadFeet === null ? 'the usual' : distance(runner.leadFeet)}
                  </small>
                </th>
                {columns.map(({ pitcher, move }) => {
                  // Down: the safe way. The unit stands above.
                  const safe = (mode: 'twoWay' | 'oneWay'): string =>
                    distanceDown(
                      longestLead(
                        {
                          stance: { leadFeet: 0, corner, mode, awaySpeed: 0 },
                          level: times.field.level,
                          throwing: spreadOfEstimate(move),
                          leftHander: pitcher.throws === 'left',
                          own,
                        },
                        risk,
                      ),
                    ).replace(/\s.*$/, '');
                  return (
                    <td key={pitcher.id}>
                      {safe('twoWay')} / {safe('oneWay')}
                    </td>
                  );
                })}
              </tr>
            );
          })}
        </tbody>
      </table>
      <p>
        <small>
          {today}. Leads are rounded down. * not timed, typical for the level. Dive back only as
          taught. Your league&rsquo;s book and the umpire decide who may lead off.
        </small>
      </p>
    </>
  );
}
