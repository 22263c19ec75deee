import { longestLead } from '@bradyon/core/leads';
import { feet, Sheet } from '../../ui/index.ts';
import { handWord, personLabel, usePeople } from '../people/index.ts';
import { LeadPage } from './LeadPage.tsx';
import { useLeadDraft } from './leadStore.ts';
import { spreadOfEstimate, type Leads } from './useLeads.ts';
import { CORNER_TEXT, RISK_TEXT } from './words.ts';

/** Each runner's leads against each of their pitchers, to print for the game. */
export function SheetPage() {
  return (
    <LeadPage title="Lead sheet">
      {(leads) => <Sheet title="Lead sheet">{() => <LeadSheet leads={leads} />}</Sheet>}
    </LeadPage>
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
        {team.name} on {them}: leads off first, ft
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
                  <small>{runner.leadFeet === null ? 'the usual' : feet(runner.leadFeet)}</small>
                </th>
                {columns.map(({ pitcher, move }) => {
                  const safe = (mode: 'twoWay' | 'oneWay'): string =>
                    // Down to the half foot: the safe way.
                    (
                      Math.floor(
                        longestLead(
                          {
                            stance: { leadFeet: 0, corner, mode, awaySpeed: 0 },
                            level: times.field.level,
                            throwing: spreadOfEstimate(move),
                            leftHander: pitcher.throws === 'left',
                            own,
                          },
                          risk,
                        ) * 2,
                      ) / 2
                    ).toFixed(1);
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
