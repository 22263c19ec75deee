import type { PracticeRecord } from '@bradyon/contract/drills';
import { isStation } from '@bradyon/core/drills';
import { groupName, partRows, stationName } from './timetable.ts';
import { STATION_HOW } from './words.ts';

/** Who is where when. */
export function Timetable({ practice }: { practice: PracticeRecord }) {
  return (
    <div className="practice-scroll" tabIndex={0} role="region" aria-label="Timetable">
      <table className="reps-table practice-table">
        <thead>
          <tr>
            <th scope="col">Time</th>
            {practice.groups.map((_, group) => (
              <th key={groupName(group)} scope="col">
                {groupName(group)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {partRows(practice).map(({ clock, minutes, what, groups }) => (
            <tr key={clock}>
              <th scope="row">
                {clock} <small className="quiet">{minutes} min</small>
              </th>
              {groups.length === 0 ? (
                <td colSpan={Math.max(1, practice.groups.length)} className="practice-all">
                  {what}
                </td>
              ) : (
                groups.map(({ text, reps }, group) => (
                  <td key={groupName(group)}>
                    {text}
                    {reps !== null && <small className="quiet"> {reps} each</small>}
                  </td>
                ))
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What each station needs, for whoever sets it up. */
export function SetUps({ practice }: { practice: PracticeRecord }) {
  return (
    <ul className="practice-setups">
      {[...new Set(practice.order)].map((name) => (
        <li key={name}>
          <strong>{stationName(practice, name)}.</strong>{' '}
          {isStation(name) ? STATION_HOW[name] : practice.own.find(({ id }) => id === name)?.notes}
        </li>
      ))}
    </ul>
  );
}
