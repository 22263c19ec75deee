import {
  chanceToday,
  COLUMNS,
  offTimesIn,
  ordinaryLuck,
  type GameReview,
} from '@bradyon/core/review';
import type { PersonId } from '@bradyon/core/units';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { longDate, percent, seconds, Sheet, useTitle } from '../../ui/index.ts';
import { download } from '../files/index.ts';
import { inningWords, OpenedGame, standsWords, useGame } from '../games/index.ts';
import { useTeam } from '../teams/index.ts';
import './Review.scss';
import { reviewFile } from './reviewFile.ts';
import { useReckoned } from './useReckoned.ts';
import { useReview, type CountedCall } from './useReview.ts';
import { cameText, clearnessText, LEG_TEXT, optionText, placeText, wins } from './words.ts';

/** A game on the way home: what each call was worth when it was made, and what luck did after. */
export function GameReviewPage() {
  useTitle('Review');
  return (
    <OpenedGame>
      <Review />
    </OpenedGame>
  );
}

const COLUMN_TEXT: Record<(typeof COLUMNS)[number], readonly [name: string, what: string]> = {
  offered: ['Offered', 'what runners and spots made possible'],
  decision: ['Calls', 'what calls gave away'],
  execution: ['Done', 'missed signs and own ideas'],
  luck: ['Luck', 'how what was tried came out'],
  void: ['Left open', 'fouls and balls in play with a runner going'],
  play: ['The rest', 'pitching, batting, fielding'],
};

function Review() {
  const team = useTeam();
  const game = useGame();
  const { situation, ours, opponentName, name } = game;
  const { review, counted: shown, isCurrent } = useReview();
  const [isPaper, setPaper] = useState(false);
  const { ledger, calls, outs, outsOnBases, outsWithCall } = review;
  const missed = calls.filter(({ result }) => result?.signSeen === 'no');
  const { totals } = ledger;
  const title = `Review: ${standsWords(situation, ours)} ${game.game.weAreHome ? 'against' : 'at'} ${opponentName}`;
  // On paper the title stands on the sheet.
  const Part = isPaper ? 'h3' : 'h2';
  const story = (
    <div aria-busy={!isCurrent}>
      {isPaper && <h2>{title}</h2>}

      <dl className="review-figures">
        <div>
          <dt>Calls gave away</dt>
          <dd>
            <span className="figure">{wins(ledger.costs.clear)}</span>
            <small>
              {ledger.costs.clearCalls} clear of {shown.length}; close ones{' '}
              {wins(ledger.costs.close)}
            </small>
          </dd>
        </div>
        <div>
          <dt>Luck</dt>
          <dd>
            <span className="figure">{wins(totals.luck, { signed: true })}</span>
            <small>ordinary is ±{wins(ordinaryLuck(ledger.luckSd))}</small>
          </dd>
        </div>
        <div>
          <dt>Outs on the bases</dt>
          <dd>
            <span className="figure">{outsOnBases}</span>
            <small>{outsWithCall} with a call</small>
          </dd>
        </div>
      </dl>
      <Part>Calls</Part>
      {shown.length === 0 ? (
        <p className="quiet">
          No calls were kept. They are kept at the bench or at a base, before each pitch with a
          runner on.
        </p>
      ) : (
        <Calls shown={shown} nameOf={name} />
      )}
      {missed.length > 0 && (
        <p>
          Missed signs: {missed.map(({ call }) => name(call.runner)).join(', ')}.{' '}
          <Link className="no-print" to={`/teams/${team.id}/signs/drills`}>
            Drill them
          </Link>
        </p>
      )}
      <OffTimes review={review} Part={Part} />
      {outs.length > 0 && (
        <>
          <Part>Outs on the bases, dearest first</Part>
          <ul>
            {outs.map(({ inning, half, runner, cost, decision }, nth) => (
              <li key={nth}>
                {inningWords({ inning, half })}: {name(runner)}, {wins(cost)}.
                {decision !== null &&
                  (decision <= 0
                    ? ' A good risk when it was taken.'
                    : ` ${wins(decision)} of it by the decision.`)}
              </li>
            ))}
          </ul>
        </>
      )}
      <Part>Where the game went</Part>
      <div className="review-scroll" tabIndex={0} role="region" aria-label="Where it went">
        <table className="review-table">
          <tbody>
            {COLUMNS.map((column) => (
              <tr key={column}>
                <th scope="row">{COLUMN_TEXT[column][0]}</th>
                <td className="figure">{wins(totals[column], { signed: true })}</td>
                <td className="quiet">{COLUMN_TEXT[column][1]}</td>
              </tr>
            ))}
            <tr>
              <th scope="row">Together</th>
              <td className="figure">{wins(totals.change, { signed: true })}</td>
              <td className="quiet">
                from {percent(review.start)} to win, to {percent(review.end)}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p className="quiet">
        In games won. Judged by what was known before the pitch, never by how it came out.
      </p>
    </div>
  );
  return (
    <>
      <div className="page-head no-print">
        <h1>{title}</h1>
        <span className="quiet">{longDate(game.game.startsAt)}</span>
        <div className="review-tools">
          <Button
            variant="outline-primary"
            onClick={() => {
              setPaper(!isPaper);
            }}
          >
            {isPaper ? 'Back to the screen' : 'On paper'}
          </Button>
          <Button
            variant="outline-primary"
            disabled={!isCurrent}
            onClick={() => {
              download(
                `review-${game.game.startsAt.slice(0, 10)}.json`,
                JSON.stringify(reviewFile(game, review), null, 1),
                'application/json',
              );
            }}
          >
            As JSON
          </Button>
          <Link className="btn btn-outline-primary" to="../replay" relative="path">
            Play it again
          </Link>
          <Link className="btn btn-outline-primary" to="../box" relative="path">
            Box
          </Link>
          <Link className="btn btn-outline-primary" to={`/teams/${team.id}/games/season`}>
            Season
          </Link>
        </div>
      </div>
      {isPaper ? (
        <Sheet title={title}>{() => story}</Sheet>
      ) : (
        <div className="card-box">{story}</div>
      )}
    </>
  );
}

function Calls({
  shown,
  nameOf,
}: {
  shown: readonly CountedCall[];
  nameOf: (id: PersonId) => string;
}) {
  return (
    <ol className="review-calls">
      {shown.map(({ call: each, cost, clearness, pitches }) => {
        const { call, result, done } = each;
        const half = call.half === 'bottom' ? 'bottom' : 'top';
        return (
          <li key={call.id}>
            <span>
              <strong>
                {inningWords({ inning: call.inning, half })}, {nameOf(call.runner)}
              </strong>{' '}
              {percent(call.chance)} safe, needed {percent(call.need)}.
              <Today call={call} />
            </span>
            <span>
              {each.called !== null &&
                `${call.calledBy === null ? 'Called' : `Called at ${placeText(call.calledBy)}`}: ${optionText(each.called)}. `}
              {done === 'stay'
                ? pitches > 1
                  ? `Stayed, ${String(pitches)} pitches.`
                  : 'Stayed.'
                : `Went, ${optionText(done)}: ${cameText({ outcome: result?.outcome ?? 'notRun', resolved: result?.resolved ?? false, done }).toLowerCase()}.`}{' '}
              <span className={CLEARNESS_CLASS[clearness]}>
                {clearnessText(clearness, cost)}
                {clearness === 'clear' && `: ${optionText(each.row.best ?? '')} was better`}.
              </span>
            </span>
          </li>
        );
      })}
    </ol>
  );
}

/** The same call by today's numbers, beside what was told then; nothing where they are the same. */
function Today({ call }: { call: CountedCall['call']['call'] }) {
  const { level, ruleset, levelChanges } = useTeam();
  const today = chanceToday(call, {
    level,
    isOpen: ruleset.leadRule === 'open',
    today: levelChanges,
  });
  return today === null ? null : <> By today’s numbers {percent(today)}.</>;
}

/** Times that are asked about: a wrong tap, an injury, a slide step? */
function OffTimes({ review, Part }: { review: GameReview; Part: 'h2' | 'h3' }) {
  const { name } = useGame();
  const { calls } = review;
  const attempts = useMemo(
    () => calls.map(({ call, result }) => ({ ...call, timed: result?.timed ?? {} })),
    [calls],
  );
  const { readings } = useReckoned(attempts);
  const { off, outdated, timed } = offTimesIn(calls, (id) => readings[id] ?? null);
  if (off.length === 0 && outdated.length === 0) return null;
  return (
    <>
      <Part>Times to look at</Part>
      <ul>
        {off.map(({ callId, leg, who, inning, half, seconds: timedSeconds, expectedSeconds }) => (
          <li key={`${callId} ${leg}`}>
            {inningWords({ inning, half: half === 'bottom' ? 'bottom' : 'top' })}: {name(who)},{' '}
            {LEG_TEXT[leg]} {seconds(timedSeconds)}, {seconds(expectedSeconds)} expected. A wrong
            tap, or something new?
          </li>
        ))}
        {outdated.map(({ who, leg }) => (
          <li key={`${who} ${leg}`}>
            {name(who)}: the {LEG_TEXT[leg]} on file is out of date. Time them again.
          </li>
        ))}
      </ul>
      <p className="quiet">Of {timed} times taken. None is dropped for it.</p>
    </>
  );
}

const CLEARNESS_CLASS = {
  clear: 'review-clear',
  right: 'review-right',
  close: '',
  nothingInIt: 'quiet',
} as const;
