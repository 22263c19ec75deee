import { growthOf, workOn, type Growth } from '@bradyon/core/review';
import { byNumber, type Person } from '@bradyon/core/people';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  Empty,
  Failure,
  giveOrTake,
  Loading,
  percent,
  seconds,
  shortDate,
  useTitle,
} from '../../ui/index.ts';
import { GameTabs, useSeason } from '../games/index.ts';
import { personLabel, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { titleOf, useTimes } from '../timing/index.ts';
import './Review.scss';
import { SKILL_TEXT, wins } from './words.ts';

/** Who got quicker or slower beyond doubt, and whose numbers are out of date. */
export function GrowthPage() {
  useTitle('Growth');
  const team = useTeam();
  const times = useTimes(team);
  const { people, isLoading, error, retry } = usePeople(team.id);
  const [now] = useState(() => new Date());
  const ours = people.filter(({ opponentId, retired }) => opponentId === null && !retired);
  const rows = ours
    .toSorted(byNumber)
    .map((person) => ({
      person,
      lines: growthOf(person, times.of(person), times.field, team.level, now),
    }))
    .filter(({ lines }) => lines.length > 0);
  return (
    <>
      <div className="page-head">
        <h1>Growth</h1>
        <GameTabs />
      </div>
      {error || times.error ? (
        <Failure
          error={error ?? times.error ?? new Error('')}
          retry={error ? retry : times.retry}
        />
      ) : isLoading || times.isLoading ? (
        <Loading what="your times" />
      ) : rows.length === 0 ? (
        <Empty title="Too few times to follow yet.">
          <p>Three times of a kind are a start, three later ones can show a change.</p>
        </Empty>
      ) : (
        <>
          <WorkNext now={now} />
          <Changed rows={rows} />
          <section className="card-box review-box">
            <h2>Everybody</h2>
            <div className="review-scroll" tabIndex={0} role="region" aria-label="Everybody">
              <table className="review-table">
                <thead>
                  <tr>
                    <th scope="col">Player</th>
                    <th scope="col">Time</th>
                    <th scope="col">Now</th>
                    <th scope="col">Change</th>
                    <th scope="col">Known</th>
                  </tr>
                </thead>
                <tbody>
                  {rows.flatMap(({ person, lines }) =>
                    lines.map((line) => (
                      <tr key={`${person.id} ${line.key}`}>
                        <th scope="row">
                          <Link to={`/teams/${team.id}/timing/${person.id}`}>
                            {personLabel(person)}
                          </Link>
                        </th>
                        <td>{titleOf(line.context)}</td>
                        <td className="figure">{seconds(line.trend.level)}</td>
                        <td>{changeText(line)}</td>
                        <td>
                          {line.isStale ? 'Out of date' : giveOrTake(1.2816 * line.doubtSeconds)}
                        </td>
                      </tr>
                    )),
                  )}
                </tbody>
              </table>
            </div>
            <p className="quiet">
              A change is called beyond doubt only, 19 in 20, with three times before and three
              after. A new thumb on the watch can hide one.
            </p>
          </section>
        </>
      )}
    </>
  );
}

/** "Quicker by .06 s since May 3", or what is missing. */
function changeText({ trend, since }: Growth): string {
  const { verdict, change, before, after } = trend;
  if (verdict === 'cannotTell') {
    return before < 3 || after < 3 ? 'Too few to tell' : 'No change that can be told';
  }
  const word = verdict === 'quicker' ? 'Quicker' : 'Slower';
  return `${word} by ${seconds(Math.abs(change))} since ${shortDate(since)}`;
}

function Changed({ rows }: { rows: readonly { person: Person; lines: readonly Growth[] }[] }) {
  const changed = rows.flatMap(({ person, lines }) =>
    lines.filter(({ trend }) => trend.verdict !== 'cannotTell').map((line) => ({ person, line })),
  );
  return (
    <section className="card-box review-box">
      <h2>Changed</h2>
      {changed.length === 0 ? (
        <p className="quiet">Nobody, beyond doubt.</p>
      ) : (
        <ul>
          {changed.map(({ person, line }) => (
            <li key={`${person.id} ${line.key}`}>
              <strong>{personLabel(person)}</strong>, {titleOf(line.context).toLowerCase()}:{' '}
              {changeText(line).toLowerCase()}.
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Games to look ahead, and lines to show. */
const [GAMES, MOST] = [10, 8];

/** Whom to work with next, and on what: what it would win at the spots that this season brought. */
function WorkNext({ now }: { now: Date }) {
  const team = useTeam();
  const { people } = usePeople(team.id);
  const season = useSeason(team.id);
  if (!season.data || season.data.calls.length === 0) return null;
  const found = workOn(
    season.data.calls,
    {
      level: team.level,
      isOpen: team.ruleset.leadRule === 'open',
      now,
      today: team.levelChanges,
    },
    GAMES,
  ).flatMap((work) => {
    const person = people.find(({ id, retired }) => id === work.who && !retired);
    // What does not show in the figures is not worth a line.
    const isSeen = percent(work.chance) !== percent(work.chanceAfter);
    return person && isSeen ? [{ ...work, person }] : [];
  });
  // Of each player what is worth most: a practice has room for several.
  const ofEach = found.filter(
    (work, nth) => found.findIndex((each) => each.who === work.who) === nth,
  );
  return (
    <section className="card-box review-box">
      <h2>Work on next</h2>
      {found.length === 0 ? (
        <p className="quiet">A session would change no call this season brought.</p>
      ) : (
        <ol>
          {ofEach.slice(0, MOST).map((work) => (
            <li key={`${work.who} ${work.skill}`}>
              <strong>{personLabel(work.person)}</strong>, {SKILL_TEXT[work.skill].toLowerCase()},{' '}
              {work.minutes} min: {percent(work.chance)} to {percent(work.chanceAfter)} at{' '}
              {work.usesPerGame.toFixed(1)} a game, {wins(work.gain, { signed: true })} in {GAMES}{' '}
              games.
            </li>
          ))}
        </ol>
      )}
      <p className="quiet">
        Most won an hour first. What a session brings is judgement; practice plans count it too.
      </p>
    </section>
  );
}
