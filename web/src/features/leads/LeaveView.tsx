import { judgeLeaving } from '@bradyon/core/leads';
import { spreadOf } from '@bradyon/core/timing';
import { Link } from 'react-router';
import { distance, giveOrTake, percent, seconds } from '../../ui/index.ts';
import { orTypical, personLabel, standsInFor } from '../people/index.ts';
import { WhatIf } from '../suppose/index.ts';
import './leads.scss';
import type { Leads } from './useLeads.ts';

/** What to aim for: early on so many pitches. Early more often than the other, something has to change. Judgement. */
const EARLY_RISK = 0.05;
const EARLY_TOO_OFTEN = 0.2;

/** Where nobody may lead off: leaving in time is the skill. Early is an out, late is feet lost. */
export function LeaveView({ leads }: { leads: Leads }) {
  const { team, times, onField } = leads;
  const atRelease = team.ruleset.leadRule === 'atRelease';
  const moment = atRelease ? 'the release' : 'the pitch reaching the batter';
  // Nobody yet: a typical runner stands in.
  const chosen = orTypical(onField.runner, 'runner');
  const runners = onField.runners.length > 0 ? onField.runners : [chosen];
  const rows = runners.flatMap((runner) => {
    const leave = leads.leaveOf(runner);
    if (!leave) return [];
    const judged = judgeLeaving(spreadOf(leave), times.runner(runner).fit.topSpeed, EARLY_RISK);
    return [{ runner, leave, ...judged }];
  });
  return (
    <>
      <div className="page-head">
        <div>
          <h1>Leaving in time</h1>
          <p className="quiet">No leading off here. A runner may leave at {moment}.</p>
        </div>
      </div>
      <div className="lead-scroll" tabIndex={0} role="region" aria-label="Leave times">
        <table className="card-box lead-table leave-table">
          <thead>
            <tr>
              <th scope="col">Runner</th>
              <th scope="col">Leaves</th>
              <th scope="col">Early, an out</th>
              <th scope="col">Feet lost</th>
              <th scope="col">Aim for</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ runner, leave, chanceEarly, feetLost, aimSeconds }) => (
              <tr
                key={runner.id}
                className={
                  leave.basis !== 'typical' && chanceEarly > EARLY_TOO_OFTEN
                    ? 'lead-over'
                    : undefined
                }
              >
                <th scope="row">{standsInFor(runner) ? 'Typical runner' : personLabel(runner)}</th>
                <td>
                  {seconds(leave.meanSeconds)}{' '}
                  <span className="quiet">
                    {leave.basis === 'timed'
                      ? `${giveOrTake(leave.giveOrTakeSeconds)}, ${String(leave.count)} timed`
                      : leave.basis === 'supposed'
                        ? 'what if'
                        : 'typical, not timed'}
                  </span>
                </td>
                <td className="figure">{percent(chanceEarly)}</td>
                <td className="figure">{distance(feetLost)}</td>
                <td className="figure">{seconds(aimSeconds)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <WhatIf times={leads.whatIfLeaving(chosen)} />
      {onField.runners.length === 0 && (
        <p className="lead-stand-in">
          No runner chosen: typical for the level. Type a time under What if, or{' '}
          <Link to={`/teams/${team.id}/people`}>add players</Link>.
        </p>
      )}
      <p className="lead-care quiet">
        The aim keeps them from leaving early on more than 1 pitch in 20. A steadier runner can
        leave closer to the release. A rocker start helps more than speed.{' '}
        <Link to={`/teams/${team.id}/timing?watch=leave`}>Time who leaves when</Link>. Your
        league&rsquo;s book and the umpire decide when a runner may leave. Slide only as taught.
        Helmets on.
      </p>
    </>
  );
}
