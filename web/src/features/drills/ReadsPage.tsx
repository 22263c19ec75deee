import {
  CALL_DRILLS,
  CUES,
  levelOf,
  nextShown,
  readJudgement,
  readWorth,
  waitOf,
  type Cue,
} from '@bradyon/core/drills';
import type { PersonId } from '@bradyon/core/units';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { newId } from '../../api/index.ts';
import { giveOrTake, Loading, PickOne, seconds, TapButton, useKeys } from '../../ui/index.ts';
import { Figure } from '../../ui/figure/index.ts';
import { personLabel } from '../people/index.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import {
  drawLook,
  isFlight,
  lookAt,
  mostShown,
  PITCHER_AT,
  PITCHER_SIZE,
  PLATE_X,
  type Look,
} from './moves.ts';
import { useOpponentLook } from './useOpponentLook.ts';
import { useAwake } from './useAwake.ts';
import { CUE_ANSWERS, CUE_TEXT, CUE_WAS, LEAN_TEXT } from './words.ts';

/** Home or over, dirt or strike: how early a runner can tell. */
export function ReadsPage() {
  return <DrillPage title="Read the pitcher">{(view) => <Reads view={view} />}</DrillPage>;
}

function Reads({ view: { team, players, reps } }: { view: DrillsInView }) {
  const [personId, setPersonId] = useState<PersonId | undefined>(players[0]?.id);
  const [cue, setCue] = useState<Cue>(team.ruleset.sport === 'softball' ? 'dirt' : 'sinkPivotR');
  const [pitcherId, setPitcherId] = useState('');
  const pitchers = useOpponentLook(team, pitcherId);
  const person = players.find(({ id }) => id === personId) ?? players[0];
  if (!person) return <Loading what="your players" />;
  const own = reps.of(person.id, 'read');
  const level = levelOf(own, cue, new Date());
  return (
    <div className="drills-two">
      <section className="card-box drills-set">
        <div className="control-row">
          <PickOne
            label="Reading"
            value={person.id}
            options={players.map((each) => ({ value: each.id, text: personLabel(each) }))}
            onChange={(id) => {
              setPersonId(id as PersonId);
            }}
          />
          <PickOne
            label="What is read"
            value={cue}
            options={CUES.map((value) => ({ value, text: CUE_TEXT[value] }))}
            onChange={(value) => {
              setCue(value as Cue);
            }}
          />
          {!isFlight(cue) && pitchers.options.length > 0 && (
            <PickOne
              label="Like"
              value={pitcherId}
              options={[{ value: '', text: 'Any pitcher' }, ...pitchers.options]}
              onChange={setPitcherId}
            />
          )}
        </div>
        <Trainer
          key={`${person.id} ${cue} ${pitcherId}`}
          cue={cue}
          shownSeconds={nextShown(level)}
          own={pitchers.look}
          onAnswer={(rep) => {
            reps.add(person.id, rep);
          }}
        />
      </section>
      <section className="card-box">
        <h2>{personLabel(person)}</h2>
        <ReadResult cue={cue} own={own} level={level} />
      </section>
    </div>
  );
}

type Phase = 'waiting' | 'set' | 'moving' | 'asked' | 'told';

/** Between two looks, seconds. */
const PAUSE_SECONDS = 1.4;

/** A look after the other: set, the move cut off, the answer. */
function Trainer({
  cue,
  shownSeconds,
  own,
  onAnswer,
}: {
  cue: Cue;
  shownSeconds: number;
  own: { tempo: number; isSlideStep: boolean } | null;
  onAnswer: (rep: {
    drill: 'read';
    session: string;
    cue: Cue;
    signal: boolean;
    shownSeconds: number;
    went: boolean;
  }) => void;
}) {
  const [phase, setPhase] = useState<Phase>('waiting');
  const [look, setLook] = useState<Look | null>(null);
  const [at, setAt] = useState(-1);
  const [went, setWent] = useState(false);
  const [session] = useState(() => newId());
  const shown = useRef(0);
  useAwake(phase !== 'waiting');
  const isOn = phase === 'set' || phase === 'moving';
  useEffect(() => {
    if (!isOn || !look) return;
    // Nobody can time it: the wait of the pitcher's drill.
    const startsMs = performance.now() + waitOf(Math.random(), CALL_DRILLS.pitcher.wait) * 1000;
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    let frame = 0;
    const draw = (): void => {
      const since = (performance.now() - startsMs) / 1000;
      if (since >= 0) setPhase('moving');
      // Without motion what would be seen last is seen at once, as long as the move would take.
      setAt(since < 0 ? -1 : still ? shown.current : Math.min(since, shown.current));
      if (since >= shown.current) setPhase('asked');
      else frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => {
      cancelAnimationFrame(frame);
    };
    // A look begins once; that it moves is no other look.
  }, [isOn, look]);
  const begin = (): void => {
    const next = drawLook(cue, Math.random, own);
    shown.current = Math.min(shownSeconds, mostShown(next));
    setLook(next);
    setAt(-1);
    setPhase('set');
  };
  const answer = (goes: boolean): void => {
    // A tap before anything was shown is a guess, and no answer.
    if (!look || (phase !== 'moving' && phase !== 'asked')) return;
    setWent(goes);
    setPhase('told');
    onAnswer({
      drill: 'read',
      session,
      cue,
      signal: look.signal,
      shownSeconds: Number(shown.current.toFixed(3)),
      went: goes,
    });
  };
  const isTold = phase === 'told';
  useEffect(() => {
    if (!isTold) return;
    const timer = setTimeout(begin, PAUSE_SECONDS * 1000);
    return () => {
      clearTimeout(timer);
    };
    // The next look begins by itself, once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isTold]);
  useKeys({
    g: () => {
      answer(true);
    },
    b: () => {
      answer(false);
    },
  });
  const [goText, stayText] = CUE_ANSWERS[cue];
  const [signalText, noiseText] = CUE_WAS[cue];
  const still = { cue, signal: true, tempo: 1, isSlideStep: false, wobble: 0 };
  const scene = lookAt(look ?? still, isTold ? 9 : at);
  return (
    <>
      <div className="reads-stage">
        <LookPicture
          scene={phase === 'asked' ? null : scene}
          isFlight={isFlight(cue)}
          label={phase === 'moving' ? 'The pitcher moves' : 'The pitcher is set'}
        />
        <p className="reads-words" role="status">
          {phase === 'waiting' && 'Watch, and answer as soon as you know.'}
          {phase === 'set' && 'Set'}
          {phase === 'moving' && ' '}
          {phase === 'asked' && 'Which was it?'}
          {isTold && look && (
            <>
              <strong>{went === look.signal ? 'Right' : 'Wrong'}.</strong> It{' '}
              {look.signal ? signalText : noiseText}.
            </>
          )}
        </p>
      </div>
      {phase === 'waiting' ? (
        <Button size="lg" onClick={begin}>
          Start
        </Button>
      ) : (
        <>
          <div className="tap-grid reads-answers">
            <TapButton
              className="tap-quiet"
              onTap={() => {
                answer(false);
              }}
            >
              {stayText}
            </TapButton>
            <TapButton
              onTap={() => {
                answer(true);
              }}
            >
              {goText}
            </TapButton>
          </div>
          <Button
            variant="link"
            onClick={() => {
              setPhase('waiting');
              setLook(null);
            }}
          >
            Stop
          </Button>
        </>
      )}
    </>
  );
}

/** The pitcher from the side, or the ball on its way; nothing once the look is cut off. */
function LookPicture({
  scene,
  isFlight: showsBall,
  label,
}: {
  scene: ReturnType<typeof lookAt> | null;
  isFlight: boolean;
  label: string;
}) {
  return (
    <svg className="reads-picture" viewBox="0 30 800 250" role="img" aria-label={label}>
      <rect className="reads-ground" x="0" y="240" width="800" height="60" />
      <path className="reads-mound" d="M60 244 q110 -24 220 0 z" />
      <path className="reads-plate" d={`M${String(PLATE_X - 20)} 246 h40 l8 8 h-56 z`} />
      {scene && (
        <Figure
          pose={scene.pose}
          facing={scene.facing}
          at={PITCHER_AT}
          size={PITCHER_SIZE}
          tone="theirs"
        />
      )}
      {scene?.ball && showsBall && (
        <circle className="reads-ball" cx={scene.ball.x} cy={scene.ball.y} r="7" />
      )}
    </svg>
  );
}

const PLACED_FROM = 10;
/** An attempt a game or so, and what a tenth is worth by the common race. General knowledge. */
const SEASON = { perTenth: 0.26, stakeRuns: 0.65, attempts: 20 } as const;

function ReadResult({
  cue,
  own,
  level,
}: {
  cue: Cue;
  own: ReturnType<DrillsInView['reps']['of']>;
  level: ReturnType<typeof levelOf>;
}) {
  const reads = own.flatMap(({ rep }) => (rep.drill === 'read' && rep.cue === cue ? [rep] : []));
  const right = reads.filter(({ signal, went }) => signal === went).length;
  const judged = readJudgement(reads, cue);
  const worth = readWorth({ earlierSeconds: 0.1, ...SEASON });
  if (reads.length === 0)
    return <p className="quiet">No reads of this yet. Thirty place a runner.</p>;
  return (
    <>
      <p className="drills-figure">
        Tells it with <strong className="figure">{seconds(level.thresholdSeconds)}</strong> shown,{' '}
        {giveOrTake(1.2816 * level.sdSeconds)}
      </p>
      <p>
        {right} of {reads.length} right. The picture gets shorter as they get better.
        {reads.length < PLACED_FROM && ' Too few yet to say more.'}
      </p>
      {judged && judged.words !== 'inLine' && (
        <p className="drills-advice">{LEAN_TEXT[cue][judged.words]}</p>
      )}
      {judged?.words === 'inLine' && <p>Neither too eager nor too careful.</p>}
      {!isFlight(cue) && (
        <p className="quiet">
          Reading .10&nbsp;s earlier here is worth about {Math.round(worth.chance * 100)} points of
          chance on a steal. Judgement, not measured.
        </p>
      )}
    </>
  );
}
