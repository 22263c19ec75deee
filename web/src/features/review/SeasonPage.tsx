import type { Season } from '@bradyon/contract/review';
import {
  calibrationOf,
  hasRun,
  LEAST_FOR_WORD,
  ordinaryLuck,
  summaryOf,
  toldOf,
  type SeasonCall,
} from '@bradyon/core/review';
import type { PersonId } from '@bradyon/core/units';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Empty, Failure, Loading, PickOne, useTitle } from '../../ui/index.ts';
import { download, makeTable } from '../files/index.ts';
import { GameTabs, useSeason } from '../games/index.ts';
import { personLabel, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { LearnBox } from './LearnBox.tsx';
import { Reliability } from './Reliability.tsx';
import './Review.scss';
import { calibrationText, placeText, wins } from './words.ts';

/** All games together: what calls gave away, what luck did, and whether the chances were true. */
export function SeasonPage() {
  useTitle('Season');
  const team = useTeam();
  const season = useSeason(team.id);
  return (
    <>
      <div className="page-head">
        <h1>Season</h1>
        <GameTabs />
      </div>
      {season.data ? (
        season.data.calls.length === 0 ? (
          <Empty title="No calls yet.">
            <p>
              Before each pitch with a runner on, the desk keeps what was known and what was called.
              Play a game and read it here.
            </p>
          </Empty>
        ) : (
          <All season={season.data} />
        )
      ) : season.error ? (
        <Failure
          error={season.error}
          retry={() => {
            void season.refetch();
          }}
        />
      ) : (
        <Loading what="your season" />
      )}
    </>
  );
}

const PARTS = {
  base: 'Base',
  hand: 'Pitcher’s hand',
  kind: 'Kind of start',
  runner: 'Runner',
  pitcher: 'Pitcher',
  catcher: 'Catcher',
  inning: 'Inning',
  calledBy: 'Who called',
} as const;
type Part = keyof typeof PARTS;

function All({ season }: { season: Season }) {
  const { calls } = season;
  const summary = useMemo(() => summaryOf(calls), [calls]);
  const told = useMemo(() => toldOf(calls), [calls]);
  const calibration = useMemo(() => (told.length === 0 ? null : calibrationOf(told)), [told]);
  const tooHigh = calibration?.word === 'tooHigh' || calibration?.word === 'hintTooHigh';
  return (
    <>
      <section className="card-box review-box">
        <dl className="review-figures">
          <div>
            <dt>Running won</dt>
            <dd>
              <span className="figure">{wins(summary.won, { signed: true })}</span>
              <small>
                against never running; {wins(summary.wonLow, { signed: true })} to{' '}
                {wins(summary.wonHigh, { signed: true })} is ordinary; {summary.safe} of{' '}
                {summary.attempts} safe
              </small>
            </dd>
          </div>
          <div>
            <dt>Of that, luck</dt>
            <dd>
              <span className="figure">{wins(summary.luck, { signed: true })}</span>
              <small>ordinary is ±{wins(ordinaryLuck(summary.luckSd))}</small>
            </dd>
          </div>
          <div>
            <dt>As the numbers said</dt>
            <dd>
              <span className="figure">{wins(summary.byNumbers, { signed: true })}</span>
              <small>
                always the best call, on average; {wins(summary.byNumbersLow, { signed: true })} to{' '}
                {wins(summary.byNumbersHigh, { signed: true })}
              </small>
            </dd>
          </div>
          <div>
            <dt>Clear calls cost</dt>
            <dd>
              <span className="figure">{wins(summary.clear)}</span>
              <small>
                {summary.clearCalls} of {summary.opportunities}; close ones {wins(summary.close)}
              </small>
            </dd>
          </div>
          <div>
            <dt>Gos taken</dt>
            <dd>
              <span className="figure">
                {summary.gosTaken} of {summary.gos}
              </span>
              <small>
                {summary.missedSigns === 1 ? 'one sign' : `${String(summary.missedSigns)} signs`}{' '}
                missed
              </small>
            </dd>
          </div>
        </dl>
        {summary.left.count > 0 && (
          <p>
            Gos not taken: {summary.left.count}, worth {wins(summary.left.worth, { signed: true })}{' '}
            ({wins(summary.left.low, { signed: true })} to{' '}
            {wins(summary.left.high, { signed: true })}) by the chances as told.{' '}
            {tooHigh && 'The chances read too high, so take less. '}
            {summary.left.untried && 'Nothing was tried at some of these chances.'}
          </p>
        )}
        <p className="quiet">
          In games won, by the chances as they were told. A season’s luck is larger than all that
          good calls win.
        </p>
      </section>
      <div className="review-two">
        <section className="card-box">
          <h2>Are our chances true?</h2>
          {calibration ? (
            <>
              <p className="review-word">{calibrationText(calibration)}</p>
              <Reliability found={calibration} />
              {calibration.skill !== null && calibration.gain && calibration.word !== 'few' && (
                <p>
                  {calibration.gain.mean > 1.28 * calibration.gain.se
                    ? 'Better than saying the same for everybody.'
                    : 'No better yet than saying the same for everybody. With attempts near 80% that takes many.'}
                </p>
              )}
            </>
          ) : (
            <p className="quiet">Nobody has run yet.</p>
          )}
        </section>
        <LearnBox season={season} />
      </div>
      <Parts season={season} />
    </>
  );
}

/** The same by parts: fewer than a dozen attempts say nothing by themselves. */
function Parts({ season }: { season: Season }) {
  const { calls } = season;
  const team = useTeam();
  const { people } = usePeople(team.id);
  const [part, setPart] = useState<Part>('runner');
  const nameOf = (id: PersonId | null): string => {
    const person = people.find((each) => each.id === id);
    return person ? personLabel(person) : 'Somebody';
  };
  const keyOf = (call: SeasonCall): string => {
    switch (part) {
      case 'base':
        return `Steal of ${call.base}`;
      case 'hand':
        return call.pitcherThrows === 'left' ? 'Left-hander' : 'Right-hander';
      case 'kind':
        return call.kind;
      case 'runner':
        return nameOf(call.runner);
      case 'pitcher':
        return nameOf(call.pitcher);
      case 'catcher':
        return nameOf(call.catcher);
      case 'inning':
        return call.inning <= 3 ? 'Innings 1 to 3' : call.inning <= 6 ? '4 to 6' : '7 and later';
      case 'calledBy':
        return call.calledBy === null ? 'Nobody called' : placeText(call.calledBy);
    }
  };
  const keys = [...new Set(calls.map(keyOf))].toSorted();
  return (
    <section className="card-box review-box">
      <div className="control-row">
        <PickOne
          label="By"
          value={part}
          options={Object.entries(PARTS).map(([value, text]) => ({ value, text }))}
          onChange={(value) => {
            setPart(value as Part);
          }}
        />
        <Button
          variant="outline-primary"
          onClick={() => {
            download('season-calls.csv', makeTable(rowsOf(calls, nameOf)), 'text/csv');
          }}
        >
          Calls as CSV
        </Button>
        <Button
          variant="outline-primary"
          onClick={() => {
            download(
              'season.json',
              JSON.stringify({ format: 'bradyon-season', version: 1, ...season }, null, 1),
              'application/json',
            );
          }}
        >
          Season as JSON
        </Button>
      </div>
      <div className="review-scroll" tabIndex={0} role="region" aria-label="By part">
        <table className="review-table">
          <thead>
            <tr>
              <th scope="col">{PARTS[part]}</th>
              <th scope="col">Safe</th>
              <th scope="col">Expected</th>
              <th scope="col">Chances</th>
              <th scope="col">Luck</th>
              <th scope="col">Clear calls cost</th>
            </tr>
          </thead>
          <tbody>
            {keys.map((key) => {
              const own = calls.filter((call) => keyOf(call) === key);
              const told = toldOf(own);
              const summary = summaryOf(own);
              const expected = told.reduce((sum, { chance }) => sum + chance, 0);
              return (
                <tr key={key}>
                  <th scope="row">{key}</th>
                  <td className="figure">
                    {summary.attempts === 0
                      ? 'never ran'
                      : `${String(summary.safe)} of ${String(summary.attempts)}`}
                  </td>
                  <td className="figure">{summary.attempts === 0 ? '' : expected.toFixed(1)}</td>
                  <td>
                    {told.length < LEAST_FOR_WORD
                      ? told.length > 0 && 'Too few to tell'
                      : WORD_TEXT[calibrationOf(told, { groups: keys.length, seasons: 1 }).word]}
                  </td>
                  <td className="figure">{wins(summary.luck, { signed: true })}</td>
                  <td className="figure">{wins(summary.clear)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}

const WORD_TEXT = {
  few: 'Too few to tell',
  inLine: 'In line',
  hintTooHigh: 'A hint: too high',
  hintTooLow: 'A hint: too low',
  tooHigh: 'Too high',
  tooLow: 'Too low',
} as const;

/** Every call as it was kept, for a table of one's own. */
function rowsOf(
  calls: readonly SeasonCall[],
  nameOf: (id: PersonId | null) => string,
): Record<string, string | number>[] {
  return calls.map((call) => ({
    Game: call.startsAt.slice(0, 10),
    Inning: call.inning,
    Half: call.half,
    Outs: call.outs,
    Runner: nameOf(call.runner),
    Pitcher: nameOf(call.pitcher),
    Catcher: nameOf(call.catcher),
    Base: call.base,
    Start: call.kind,
    Chance: Number(call.chance.toFixed(4)),
    Low: Number(call.low.toFixed(4)),
    High: Number(call.high.toFixed(4)),
    Needs: Number(call.need.toFixed(4)),
    Called: call.called ?? '',
    'Called by': call.calledBy ?? '',
    Done: call.done,
    Resolved: hasRun(call) ? 'yes' : 'no',
    Outcome: call.outcome,
    Cost: Number(call.cost.toFixed(5)),
    Luck: Number(call.luck.toFixed(5)),
  }));
}
