import {
  judgeBreak,
  judgeShow,
  judgeShows,
  SQUEEZE_OUTCOMES,
  type SqueezeOutcome,
  type TappedSqueeze,
} from '@bradyon/core/drills';
import type { Sport } from '@bradyon/core/rules';
import type { PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { newId } from '../../api/index.ts';
import {
  Choice,
  Loading,
  percent,
  PickOne,
  seconds,
  SpreadDots,
  TapButton,
  useKeys,
} from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import { UndoLast } from './UndoLast.tsx';
import { SQUEEZE_TEXT } from './words.ts';

/** The show and the break of a squeeze, by the pitcher's front foot. */
export function SqueezePage() {
  return (
    <DrillPage
      title="Squeeze timing"
      care="Helmets at live bunts. Fingers behind the barrel. The runner slides away from the bat."
    >
      {(view) => <Squeezes view={view} />}
    </DrillPage>
  );
}

function Squeezes({ view: { team, players, reps } }: { view: DrillsInView }) {
  const { sport } = team.ruleset;
  const [personId, setPersonId] = useState<PersonId | undefined>(players[0]?.id);
  const [hasRunner, setHasRunner] = useState(true);
  const [session] = useState(() => newId());
  const person = players.find(({ id }) => id === personId) ?? players[0];
  if (!person) return <Loading what="your players" />;
  const own = reps.of(person.id, 'squeeze').map(({ rep }) => rep);
  return (
    <div className="drills-two">
      <section className="card-box drills-set">
        <div className="control-row">
          <PickOne
            label="Bunter"
            value={person.id}
            options={players.map((each) => ({ value: each.id, text: personLabel(each) }))}
            onChange={(id) => {
              setPersonId(id as PersonId);
            }}
          />
          <Choice
            label="Runner"
            value={hasRunner ? 'runner' : 'none'}
            options={[
              { value: 'runner', text: 'With a runner' },
              { value: 'none', text: 'Bunter only' },
            ]}
            onChange={(value) => {
              setHasRunner(value === 'runner');
            }}
          />
        </div>
        <SqueezeTaps
          key={`${person.id} ${String(hasRunner)}`}
          sport={sport}
          hasRunner={hasRunner}
          onSqueeze={(squeeze) => {
            reps.add(person.id, { drill: 'squeeze', session, ...squeeze });
          }}
        />
        <UndoLast reps={reps} personId={person.id} drill="squeeze" />
      </section>
      <section className="card-box">
        <h2>{personLabel(person)}</h2>
        <SqueezeResult sport={sport} tapped={own} />
      </section>
    </div>
  );
}

type Moment = 'break' | 'foot' | 'show';
type Taps = Partial<Record<Moment, number>>;

const MOMENT_TEXT: Record<Moment, string> = {
  break: 'Runner breaks',
  foot: 'Front foot down',
  show: 'Bunter shows',
};
/** Farther apart they are not of one pitch. */
const PITCH_SECONDS = 2;

/** @returns what the taps of one pitch say; null while one is missing, or they are of two pitches */
function squeezeOf(taps: Taps, hasRunner: boolean): Omit<TappedSqueeze, 'outcome'> | null {
  const { foot, show } = taps;
  const broke = hasRunner ? taps.break : null;
  if (foot === undefined || show === undefined || broke === undefined) return null;
  const after = (atMs: number): number => Number(((atMs - foot) / 1000).toFixed(3));
  return { showSeconds: after(show), breakSeconds: broke === null ? null : after(broke) };
}

/** "Shown .04 before the foot: early." */
function showWords(sport: Sport, showSeconds: number): string {
  const { verdict, doubtful } = judgeShow(sport, showSeconds);
  const side = showSeconds < 0 ? 'before' : 'after';
  const when = `Shown ${seconds(Math.abs(showSeconds))} ${side} the foot`;
  if (doubtful) return `${when}: about on the edge.`;
  return `${when}: ${verdict === 'good' ? 'on time' : verdict}.`;
}

/** A tap for each moment of a pitch, in any order; then what became of the bunt. */
function SqueezeTaps({
  sport,
  hasRunner,
  onSqueeze,
}: {
  sport: Sport;
  hasRunner: boolean;
  onSqueeze: (squeeze: TappedSqueeze) => void;
}) {
  const [taps, setTaps] = useState<Taps>({});
  const [words, setWords] = useState('Tap each as it happens.');
  const timed = squeezeOf(taps, hasRunner);
  const tap = (moment: Moment, atMs: number): void => {
    if (timed) return;
    const first = Math.min(...Object.values(taps), atMs);
    if (atMs - first > PITCH_SECONDS * 1000) {
      // What was tapped before is of another pitch.
      setTaps({ [moment]: atMs });
      setWords('The taps were too far apart: a new pitch.');
      return;
    }
    const next = { ...taps, [moment]: atMs };
    setTaps(next);
    const done = squeezeOf(next, hasRunner);
    setWords(done ? 'And the bunt?' : `${MOMENT_TEXT[moment]}.`);
  };
  const end = (outcome: SqueezeOutcome): void => {
    if (!timed) return;
    setTaps({});
    const broke =
      timed.breakSeconds === null
        ? ''
        : ` Runner ${{ early: 'early', good: 'on time', late: 'late' }[judgeBreak(sport, timed.breakSeconds)]}.`;
    setWords(showWords(sport, timed.showSeconds) + broke);
    onSqueeze({ ...timed, outcome });
  };
  useKeys({
    a: (atMs) => {
      if (hasRunner) tap('break', atMs);
    },
    Space: (atMs) => {
      tap('foot', atMs);
    },
    d: (atMs) => {
      tap('show', atMs);
    },
  });
  const moments: Moment[] = hasRunner ? ['break', 'foot', 'show'] : ['foot', 'show'];
  return (
    <>
      <p className="reads-words" role="status">
        {words}
      </p>
      {timed ? (
        <div className="tap-grid squeeze-taps">
          {SQUEEZE_OUTCOMES.map((outcome) => (
            <TapButton
              key={outcome}
              className={outcome === 'down' ? '' : 'tap-quiet'}
              onTap={() => {
                end(outcome);
              }}
            >
              {SQUEEZE_TEXT[outcome]}
            </TapButton>
          ))}
        </div>
      ) : (
        <div className="tap-grid squeeze-taps">
          {moments.map((moment) => (
            <TapButton
              key={moment}
              anyFinger
              className={taps[moment] === undefined ? '' : 'tap-quiet'}
              onTap={(atMs) => {
                tap(moment, atMs);
              }}
            >
              {MOMENT_TEXT[moment]}
            </TapButton>
          ))}
        </div>
      )}
      {Object.keys(taps).length > 0 && (
        <Button
          variant="link"
          onClick={() => {
            setTaps({});
            setWords('Tap each as it happens.');
          }}
        >
          Forget this pitch
        </Button>
      )}
    </>
  );
}

/** As few show nothing. */
const LEAST = 5;

function SqueezeResult({ sport, tapped }: { sport: Sport; tapped: readonly TappedSqueeze[] }) {
  const judged = judgeShows(sport, tapped);
  if (!judged) return <p className="quiet">No squeezes yet. Foot down, then show.</p>;
  const { count, show, done, doubtful, meanShowSeconds, run } = judged;
  return (
    <>
      <p className="drills-figure">
        Shown on time{' '}
        <strong className="figure">
          {show.good} of {count}
        </strong>
      </p>
      <SpreadDots
        dots={tapped.map((each, nth) => ({
          key: String(nth),
          seconds: each.showSeconds,
          aside: false,
        }))}
        meanSeconds={meanShowSeconds}
        giveOrTakeSeconds={null}
        tone="runner"
      />
      <p>
        {show.early} early, {show.late} late
        {doubtful > 0 && `, ${String(doubtful)} on the edge`}. Squeezes done: {done}. 0 is the front
        foot landing.
      </p>
      {run && (
        <p>
          Runner on time {run.break.good} of {run.break.early + run.break.good + run.break.late},{' '}
          {run.break.early} early.
        </p>
      )}
      {run && count >= LEAST && (
        <p>
          Timed like this an average bunter scores the run <strong>{percent(run.score)}</strong> of
          the time, at best {percent(run.score + run.lost)}.
        </p>
      )}
      {count >= LEAST && show.good < count && (
        <p className="drills-advice">
          {show.early >= show.late
            ? 'Shows too soon. Foot down, then show.'
            : 'Shows too late. Turn as the foot lands.'}
        </p>
      )}
    </>
  );
}
