import {
  bestAim,
  CALL_DRILLS,
  judgeLandings,
  judgeLeaves,
  START_MEASURES,
  waitOf,
  type LandingRep,
} from '@bradyon/core/drills';
import { timesFromRelease } from '@bradyon/core/rules';
import { ownSpread } from '@bradyon/core/timing';
import type { PersonId } from '@bradyon/core/units';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../api/index.ts';
import {
  Choice,
  distance,
  Loading,
  percent,
  PickOne,
  seconds,
  SpreadDots,
  TapButton,
  useKeys,
} from '../../ui/index.ts';
import { Figure, poseAt, WINDMILL } from '../../ui/figure/index.ts';
import { personLabel } from '../people/index.ts';
import { useTimes } from '../timing/index.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import { PITCHER_AT, PITCHER_SIZE } from './moves.ts';
import { UndoLast } from './UndoLast.tsx';
import { useAwake } from '../../ui/useAwake.ts';

/** The foot leaves as the ball does; a secondary lead lands as the ball is over the plate. */
export function LeavesPage() {
  return (
    <DrillPage
      title="Leave in time"
      care="Leaving before the release is an out. Aim after it, never before."
    >
      {(view) => <Leaves view={view} />}
    </DrillPage>
  );
}

function Leaves({ view: { team, players, reps } }: { view: DrillsInView }) {
  const fromRelease = timesFromRelease(team.ruleset);
  const [what, setWhat] = useState<'leave' | 'landing'>(fromRelease ? 'leave' : 'landing');
  const [personId, setPersonId] = useState<PersonId | undefined>(players[0]?.id);
  const [session] = useState(() => newId());
  const person = players.find(({ id }) => id === personId) ?? players[0];
  if (!person) return <Loading what="your players" />;
  return (
    <div className="drills-two">
      <section className="card-box drills-set">
        <div className="control-row">
          <PickOne
            label="Runner"
            value={person.id}
            options={players.map((each) => ({ value: each.id, text: personLabel(each) }))}
            onChange={(id) => {
              setPersonId(id as PersonId);
            }}
          />
          <Choice
            label="What"
            value={what}
            options={[
              { value: 'leave', text: 'Leave the bag' },
              { value: 'landing', text: 'Land the secondary' },
            ]}
            onChange={setWhat}
          />
        </div>
        {what === 'leave' ? (
          <LeaveTrainer
            key={person.id}
            onLeave={(late) => {
              reps.add(person.id, { drill: 'leave', session, seconds: late });
            }}
          />
        ) : (
          <LandingTaps
            key={person.id}
            onLanding={(late, foot) => {
              reps.add(person.id, { drill: 'landing', session, seconds: late, foot });
            }}
          />
        )}
        <UndoLast reps={reps} personId={person.id} drill={what} />
        {what === 'leave' && (
          <p className="quiet">
            With a live pitcher,{' '}
            <Link to={`/teams/${team.id}/timing`}>time leaves with the watch</Link>.
          </p>
        )}
      </section>
      <section className="card-box">
        <h2>{personLabel(person)}</h2>
        {what === 'leave' ? (
          <LeaveResult view={{ team, players, reps }} person={person} />
        ) : (
          <LandingResult landings={reps.of(person.id, 'landing').map(({ rep }) => rep)} />
        )}
      </section>
    </div>
  );
}

/** From the first move to the release of the drawn pitcher, seconds. */
const WINDUP_SECONDS = 0.75;
const SCREEN_LATE_SECONDS = 0.025;
const ANSWER_SECONDS = 1.2;

/** @returns what a leave was, in words */
function leaveText(late: number): string {
  if (late <= -0.05) return `Early by ${seconds(-late)}: an out.`;
  if (late < 0) return `${seconds(-late)} before the release: too close.`;
  return late <= 0.1 ? `${seconds(late)} after the release: on time.` : `Late by ${seconds(late)}.`;
}

/** The drawn pitcher lets go; the thumb leaves with the ball. */
function LeaveTrainer({ onLeave }: { onLeave: (late: number) => void }) {
  const [isOn, setOn] = useState(false);
  const [share, setShare] = useState(0);
  const [words, setWords] = useState('Tap as the ball leaves the hand.');
  const releaseMs = useRef<number | null>(null);
  useAwake(isOn);
  useEffect(() => {
    if (!isOn) return;
    const startMs = performance.now() + waitOf(Math.random(), CALL_DRILLS.pitcher.wait) * 1000;
    const tempo = 0.9 + 0.2 * Math.random();
    releaseMs.current = startMs + WINDUP_SECONDS * tempo * 1000;
    let frame = 0;
    const draw = (): void => {
      const since = (performance.now() - startMs) / 1000 / (WINDUP_SECONDS * tempo);
      setShare(Math.max(0, Math.min(1.3, since)));
      if ((since - 1) * WINDUP_SECONDS * tempo > ANSWER_SECONDS) {
        releaseMs.current = null;
        setWords('Nobody left. Again.');
        setOn(false);
      } else {
        frame = requestAnimationFrame(draw);
      }
    };
    frame = requestAnimationFrame(draw);
    return () => {
      cancelAnimationFrame(frame);
      releaseMs.current = null;
    };
  }, [isOn]);
  const tap = (atMs: number): void => {
    const released = releaseMs.current;
    if (released === null) {
      setWords('Set');
      setShare(0);
      setOn(true);
      return;
    }
    const late = (atMs - released) / 1000 - SCREEN_LATE_SECONDS - START_MEASURES.ownTap.lateSeconds;
    releaseMs.current = null;
    setOn(false);
    // So early it was no try to time the release.
    if (late < -1) {
      setWords('Long before the release: not counted.');
      return;
    }
    setWords(leaveText(late));
    onLeave(Number(late.toFixed(3)));
  };
  useKeys({ Space: tap });
  return (
    <TapButton className="reads-stage leaves-stage" onTap={tap}>
      <svg className="reads-picture" viewBox="0 30 800 250" aria-hidden="true">
        <rect className="reads-ground" x="0" y="240" width="800" height="60" />
        <path className="reads-mound" d="M60 244 q110 -24 220 0 z" />
        <Figure
          pose={poseAt(WINDMILL, share)}
          facing={1}
          at={PITCHER_AT}
          size={PITCHER_SIZE}
          tone="theirs"
        />
      </svg>
      <span className="reads-words" role="status">
        {words}
      </span>
      <strong>{isOn ? 'Leave' : 'Tap to start'}</strong>
    </TapButton>
  );
}

/** The ball is over the plate a little before the mitt is heard. */
const BEFORE_MITT_SECONDS = 0.04;
const PAIR_SECONDS = 1;

/** Two taps a pitch: the foot that lands, and the mitt, whichever comes first. */
function LandingTaps({
  onLanding,
}: {
  onLanding: (late: number, foot: LandingRep['foot']) => void;
}) {
  const mitt = useRef<number | null>(null);
  const landed = useRef<{ atMs: number; foot: LandingRep['foot'] } | null>(null);
  const [words, setWords] = useState('Tap the foot that lands, and the mitt.');
  const pair = (): void => {
    const [m, l] = [mitt.current, landed.current];
    if (m === null || l === null) return;
    [mitt.current, landed.current] = [null, null];
    const late = (l.atMs - m) / 1000 + BEFORE_MITT_SECONDS;
    if (Math.abs(late) > PAIR_SECONDS) {
      setWords('The two taps are too far apart: not counted.');
      return;
    }
    setWords(
      Math.abs(late) <= 0.08
        ? `On the ball: ${seconds(late)}.`
        : `${late < 0 ? 'Early' : 'Late'} by ${seconds(Math.abs(late))}.`,
    );
    onLanding(Number(late.toFixed(3)), l.foot);
  };
  const land = (foot: LandingRep['foot'], atMs: number): void => {
    landed.current = { atMs, foot };
    setWords(`${foot === 'left' ? 'Left' : 'Right'} foot down. Now the mitt.`);
    pair();
  };
  const close = (atMs: number): void => {
    mitt.current = atMs;
    setWords('Mitt. Now the foot.');
    pair();
  };
  useKeys({
    a: (atMs) => {
      land('left', atMs);
    },
    d: (atMs) => {
      land('right', atMs);
    },
    Space: close,
  });
  return (
    <>
      <p className="reads-words" role="status">
        {words}
      </p>
      <div className="tap-grid">
        <TapButton
          anyFinger
          onTap={(atMs) => {
            land('left', atMs);
          }}
        >
          Left foot
        </TapButton>
        <TapButton
          anyFinger
          onTap={(atMs) => {
            land('right', atMs);
          }}
        >
          Right foot
        </TapButton>
        <TapButton anyFinger className="tap-quiet" onTap={close}>
          Mitt
        </TapButton>
      </div>
    </>
  );
}

/** What an early leave costs, and a second, when it is to steal. Runs; judgement. */
const STEALING = { outRuns: 0.45, perSecondRuns: 1.1, risk: 0.05 } as const;
const LEAST = 5;

function LeaveResult({
  view: { team, reps },
  person,
}: {
  view: DrillsInView;
  person: DrillsInView['players'][number];
}) {
  const times = useTimes(team);
  const own = reps.of(person.id, 'leave').map(({ rep }) => rep.seconds);
  if (own.length < LEAST) {
    return <p className="quiet">{own.length} so far. Five say something, ten say more.</p>;
  }
  const series = judgeLeaves(own, times.runner(person).fit.topSpeed);
  const aim = bestAim({ spreadSeconds: ownSpread(own), ...STEALING });
  return (
    <>
      <p className="drills-figure">
        On time <strong className="figure">{percent(series.onTime / series.count)}</strong>
      </p>
      <SpreadDots
        dots={own.map((each, nth) => ({ key: String(nth), seconds: each, aside: false }))}
        meanSeconds={series.meanSeconds}
        giveOrTakeSeconds={1.2816 * series.spreadSeconds}
        tone="runner"
      />
      <p>
        {series.early} early, {series.close} too close, {series.onTime} on time, {series.late} late.{' '}
        {distance(series.feetLost)} given away a time.
      </p>
      <p>
        Aim <strong>{seconds(aim.aimSeconds)}</strong> after the release. Evener beats sooner.
      </p>
    </>
  );
}

function LandingResult({ landings }: { landings: readonly LandingRep[] }) {
  if (landings.length === 0) return <p className="quiet">No landings yet. Two taps a pitch.</p>;
  const series = judgeLandings(
    landings.map(({ seconds: offsetSeconds, foot }) => ({ offsetSeconds, foot })),
  );
  const late = series.meanSeconds;
  const { bestPossible, expectedGood } = series;
  return (
    <>
      <p className="drills-figure">
        On the ball{' '}
        <strong className="figure">
          {series.good} of {series.count}
        </strong>
      </p>
      <SpreadDots
        dots={landings.map((each, nth) => ({
          key: String(nth),
          seconds: each.seconds,
          aside: false,
        }))}
        meanSeconds={late}
        giveOrTakeSeconds={series.spreadSeconds === null ? null : 1.2816 * series.spreadSeconds}
        tone="runner"
      />
      <p>
        {series.early} early, {series.late} late. Right foot {percent(series.rightFoot)}.
      </p>
      {landings.length >= LEAST && bestPossible !== null && expectedGood !== null && (
        <p className="drills-advice">
          {bestPossible - expectedGood < 0.1
            ? 'The timing is fine. Make it more even.'
            : `Start ${seconds(Math.abs(late))} ${late > 0 ? 'earlier' : 'later'}.`}
        </p>
      )}
    </>
  );
}
