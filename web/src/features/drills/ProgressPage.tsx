import { progressOf, type Progress } from '@bradyon/core/drills';
import { dayIn } from '@bradyon/core/units';
import type { PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import { Empty, Failure, Loading, percent, PickOne, seconds, shortDate } from '../../ui/index.ts';
import { useBunters } from '../bunts/index.ts';
import { personLabel } from '../people/index.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import { changeText, progressTitle } from './words.ts';

/** Who gets better, day by day; nothing is called better that may be luck. */
export function ProgressPage() {
  return <DrillPage title="Progress">{(view) => <Players view={view} />}</DrillPage>;
}

function Players({ view: { team, players, reps } }: { view: DrillsInView }) {
  const bunters = useBunters(team.id);
  const [chosen, setChosen] = useState<PersonId | null>(null);
  if (bunters.error) return <Failure error={bunters.error} retry={bunters.retry} />;
  const zone = team.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  const dayOf = (instant: string): string => dayIn(zone, Date.parse(instant));
  const rows = players.map((person) => ({
    person,
    lines: progressOf(
      reps.rows.filter(({ personId }) => personId === person.id),
      bunters.practice
        .filter(({ personId, result }) => personId === person.id && result !== 'pulledBack')
        .map(({ takenAt, result }) => ({ takenAt, fair: result === 'fair' })),
      team.ruleset.sport,
      dayOf,
    ),
  }));
  const known = rows.filter(({ lines }) => lines.length > 0);
  const shown = rows.find(({ person }) => person.id === chosen) ?? known[0];
  if (!shown) {
    return (
      <Empty title="Nothing to follow yet.">
        <p>Five starts, ten reads or five leaves on a day are a first point.</p>
      </Empty>
    );
  }
  return (
    <div className="drills-two">
      <section className="card-box">
        <h2>The team</h2>
        <table className="reps-table">
          <thead>
            <tr>
              <th scope="col">Player</th>
              <th scope="col">Better</th>
              <th scope="col">Open</th>
              <th scope="col">Worse</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ person, lines }) => (
              <tr
                key={person.id}
                className={person.id === shown.person.id ? 'drills-chosen' : undefined}
              >
                <th scope="row">{personLabel(person)}</th>
                {(['better', 'open', 'worse'] as const).map((verdict) => (
                  <td key={verdict} className="figure">
                    {lines.filter(({ change }) => change?.verdict === verdict).length || '–'}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <p className="quiet">First day against the last. Called at 9 in 10; the rest is open.</p>
      </section>
      <section className="card-box">
        <PickOne
          label="Player"
          value={shown.person.id}
          options={players.map((each) => ({ value: each.id, text: personLabel(each) }))}
          onChange={(id) => {
            setChosen(id as PersonId);
          }}
        />
        {reps.isLoading ? (
          <Loading what="the reps" />
        ) : shown.lines.length === 0 ? (
          <p className="quiet">Nothing measured of them yet.</p>
        ) : (
          shown.lines.map((line) => <Line key={progressTitle(line)} line={line} />)
        )}
      </section>
    </div>
  );
}

const valueText = (value: number, unit: Progress['unit']): string =>
  unit === 'seconds' ? seconds(value) : percent(value);

/** A thing that is measured: each day with its doubt, on one scale. */
function Line({ line }: { line: Progress }) {
  const { points, unit } = line;
  const low = Math.min(...points.map((point) => point.low));
  const high = Math.max(...points.map((point) => point.high));
  const room = Math.max(1e-6, high - low);
  const share = (value: number): number => (100 * (value - low)) / room;
  return (
    <section className="progress-line">
      <h3>{progressTitle(line)}</h3>
      <p>{changeText(line)}</p>
      <ul>
        {points.map(({ day, count, value, low: from, high: to }) => (
          <li key={day}>
            <span className="quiet">{shortDate(`${day}T12:00:00`)}</span>
            <span className="progress-bar" aria-hidden="true">
              <span
                className="progress-doubt"
                style={{
                  left: `${String(share(from))}%`,
                  width: `${String(share(to) - share(from))}%`,
                }}
              />
              <span className="progress-point" style={{ left: `${String(share(value))}%` }} />
            </span>
            <strong className="figure">{valueText(value, unit)}</strong>
            <span className="quiet">of {count}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
