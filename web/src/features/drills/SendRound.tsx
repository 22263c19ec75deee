import {
  bestForTrail,
  lostBy,
  sendScore,
  type SendAnswer,
  type SendLevelName,
  type SendRep,
  type TrailAnswer,
} from '@bradyon/core/drills';
import { byRuns, chainOf, PLAY_LEVELS, runExpectancies, tableOf } from '@bradyon/core/innings';
import type { LevelName } from '@bradyon/core/timing';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Failure, Loading, percent, TapButton, useKeys } from '../../ui/index.ts';
import { FieldMark, FieldView } from '../../ui/field/index.ts';
import './Drills.scss';
import type { TrainerPlay } from './drills.worker.ts';
import { inDrillWorker } from './heavy.ts';
import { CUT_SHARE, levelOf, sendSceneAt, throwSceneAt } from './sendScene.ts';
import { useAwake } from '../../ui/useAwake.ts';
import { DECIDER_TEXT } from './words.ts';

/** The levels that plays are drawn for, by the team's. */
const LEVELS: Record<LevelName, SendLevelName> = {
  pro: 'college',
  college: 'college',
  hs: 'hs',
  u14: 'u14',
  u12: 'u14',
  fpCollege: 'fpCollege',
  fpHs: 'fpHs',
  fpU12: 'fpHs',
};
const PLAYS = 10;

/** What runs are worth at a level, as it goes to the worker. */
export function valuesAt(level: LevelName): ReturnType<typeof tableOf> {
  return tableOf(byRuns([runExpectancies(chainOf(PLAY_LEVELS[level]))]));
}

/** How a play was answered. */
type Answered = Pick<SendRep, 'answer' | 'trail' | 'guess'>;

/** What a round is like. */
export interface RoundSetting {
  /** A runner on first too: the lead runner first, then the other. */
  onFirst: boolean;
  /** The chance is guessed before it is shown. */
  asksGuess: boolean;
}

/** Ten plays of a level. @param seed not shown to anybody */
export function SendRound({
  level,
  seed,
  setting,
  onAnswer,
  onEnd,
}: {
  level: LevelName;
  seed: number;
  setting: RoundSetting;
  onAnswer: (rep: Pick<SendRep, 'level' | 'seed' | 'onFirst'> & Answered) => void;
  onEnd: () => void;
}) {
  const { onFirst } = setting;
  const name = LEVELS[level];
  const [values] = useState(() => valuesAt(level));
  const plays = useQuery({
    queryKey: ['send plays', name, seed, onFirst],
    queryFn: () => inDrillWorker((heavy) => heavy.plays(name, seed, PLAYS, values, onFirst)),
    staleTime: Number.POSITIVE_INFINITY,
    networkMode: 'always',
    meta: { onlyHere: true },
  });
  if (plays.error) {
    return (
      <Failure
        error={plays.error}
        retry={() => {
          void plays.refetch();
        }}
      />
    );
  }
  if (!plays.data) return <Loading what="ten plays" />;
  return (
    <Round
      plays={plays.data}
      asksGuess={setting.asksGuess}
      onAnswer={(play, answered) => {
        onAnswer({
          level: name,
          seed: play.seed,
          ...(onFirst && { onFirst: true as const }),
          ...answered,
        });
      }}
      onEnd={onEnd}
    />
  );
}

/** One play after the other. */
function Round({
  plays,
  asksGuess,
  onAnswer,
  onEnd,
}: {
  plays: readonly TrainerPlay[];
  asksGuess: boolean;
  onAnswer: (play: TrainerPlay, answered: Answered) => void;
  onEnd: () => void;
}) {
  const [nth, setNth] = useState(0);
  const [given, setGiven] = useState<SendAnswer[]>([]);
  useAwake(true);
  const play = plays[nth];
  if (!play) {
    const all = plays.flatMap(({ judged }, at) => {
      const answer = given[at];
      return answer ? [{ ...judged, answer }] : [];
    });
    return (
      <>
        <p className="drills-figure" role="status">
          Score <strong className="figure">{Math.round(sendScore(all))}</strong> of 100
        </p>
        <Button onClick={onEnd}>Done</Button>
      </>
    );
  }
  return (
    <Play
      key={nth}
      play={play}
      nth={nth}
      of={plays.length}
      asksGuess={asksGuess}
      onAnswer={(answered) => {
        setGiven((before) => [...before, answered.answer]);
        onAnswer(play, answered);
      }}
      onNext={() => {
        setNth(nth + 1);
      }}
    />
  );
}

/** From the picture to the crack of the bat, seconds. */
const READY_SECONDS = 1.2;
/** A throw home, as long as there is to tell the runner from first. */
const THROW_SECONDS = 2;
export const OUTS_TEXT = ['Nobody out', 'One out', 'Two out'] as const;
const GUESSES = [10, 20, 30, 40, 50, 60, 70, 80, 90] as const;

type Phase = 'lead' | 'trail' | 'guess' | 'told';

/** What comes after the lead runner was told. */
function phaseAfter(
  phase: Phase,
  { answer }: Answered,
  { onFirst }: TrainerPlay,
  asksGuess: boolean,
): Phase {
  if (phase === 'lead' && onFirst && answer === 'send') return 'trail';
  return phase !== 'guess' && asksGuess && answer !== 'none' ? 'guess' : 'told';
}

/** Runs a picture by the clock. @param onFrame seconds since; @returns false to stop */
function useFrames(isOn: boolean, onFrame: (seconds: number) => boolean): void {
  const frameOf = useRef(onFrame);
  useEffect(() => {
    frameOf.current = onFrame;
  });
  useEffect(() => {
    if (!isOn) return;
    const startMs = performance.now();
    let frame = 0;
    const draw = (): void => {
      if (frameOf.current((performance.now() - startMs) / 1000)) {
        frame = requestAnimationFrame(draw);
      }
    };
    frame = requestAnimationFrame(draw);
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [isOn]);
}

function Play({
  play,
  nth,
  of,
  asksGuess,
  onAnswer,
  onNext,
}: {
  play: TrainerPlay;
  nth: number;
  of: number;
  asksGuess: boolean;
  onAnswer: (answered: Answered) => void;
  onNext: () => void;
}) {
  const [at, setAt] = useState(-READY_SECONDS);
  const [thrown, setThrown] = useState(0);
  const [phase, setPhase] = useState<Phase>('lead');
  const [given, setGiven] = useState<Answered>({ answer: 'none' });
  /** What is answered of this play and not handed on yet: it is, even when the page is left. */
  const unsaid = useRef<Answered | null>(null);
  const hand = useRef(onAnswer);
  useEffect(() => {
    hand.current = onAnswer;
  });
  useEffect(
    () => () => {
      if (unsaid.current) hand.current(unsaid.current);
      unsaid.current = null;
    },
    [],
  );
  const { judged, situation } = play;
  const now = useRef<Phase>('lead');
  const go = (next: Answered): void => {
    now.current = phaseAfter(now.current, next, play, asksGuess);
    unsaid.current = next;
    setGiven(next);
    setPhase(now.current);
    if (now.current !== 'told') return;
    unsaid.current = null;
    onAnswer(next);
  };
  const lead = (answer: SendAnswer): void => {
    if (now.current === 'lead' && at >= 0) go({ answer });
  };
  const trail = (answer: TrailAnswer | null): void => {
    if (now.current === 'trail') go(answer === null ? { ...given } : { ...given, trail: answer });
  };
  useFrames(phase === 'lead', (seconds) => {
    const since = seconds - READY_SECONDS;
    setAt(since);
    if (since < judged.stopSeconds) return true;
    lead('none');
    return false;
  });
  useFrames(phase === 'trail', (seconds) => {
    setThrown(Math.min(1, seconds / THROW_SECONDS));
    if (seconds < THROW_SECONDS) return true;
    trail(null);
    return false;
  });
  useKeys({
    s: () => {
      lead('send');
    },
    h: () => {
      lead('hold');
    },
    t: () => {
      trail('third');
    },
    b: () => {
      trail('second');
    },
  });
  const level = levelOf(situation.level);
  const scene = sendSceneAt(play, Math.max(0, at));
  const isThrown = thrown > 0;
  const deep = level.centerDepth * 1.15;
  const isBobbled = situation.bobbled && at >= judged.fieldedSeconds;
  return (
    <>
      <p className="sends-where">
        {nth + 1} of {of}. <strong>{OUTS_TEXT[situation.outs]}</strong>
        {play.onFirst && ', first and second'}, single to{' '}
        {situation.field === 'centre' ? 'center' : situation.field}.
      </p>
      <FieldView
        view={{ left: -deep * 0.62, top: deep, width: deep * 1.24, height: deep + 20 }}
        baseFeet={level.baseFeet}
        pitchingFeet={level.sport === 'softball' ? 43 : 60.5}
        label={
          play.onFirst
            ? 'A single with runners on first and second.'
            : 'A single with a runner on second.'
        }
      >
        <FieldMark spot={scene.outfielder} tone="fielder" text={isBobbled ? 'bobbled' : ''} />
        <FieldMark spot={scene.runner} tone="runner" text="" />
        {scene.behind && <FieldMark spot={scene.behind} tone="runner" text="" />}
        <FieldMark
          spot={isThrown ? throwSceneAt(play, thrown) : scene.ball}
          tone="fielder"
          text={isThrown && thrown > CUT_SHARE && !play.letThrough ? 'cut' : 'ball'}
        />
      </FieldView>
      {phase === 'lead' && (
        <Pair
          stay={[
            'Hold',
            () => {
              lead('hold');
            },
          ]}
          go={[
            'Send',
            () => {
              lead('send');
            },
          ]}
        />
      )}
      {phase === 'trail' && (
        <>
          <p className="sends-where">
            <strong>Now the runner from first.</strong> Third only if the throw goes through.
          </p>
          <Pair
            stay={[
              'Stop at second',
              () => {
                trail('second');
              },
            ]}
            go={[
              'Take third',
              () => {
                trail('third');
              },
            ]}
          />
        </>
      )}
      {phase === 'guess' && (
        <fieldset className="sends-guess">
          <legend>How often is the lead runner safe?</legend>
          {GUESSES.map((percentage) => (
            <Button
              key={percentage}
              variant="outline-primary"
              onClick={() => {
                if (now.current === 'guess') go({ ...given, guess: percentage / 100 });
              }}
            >
              {percentage}%
            </Button>
          ))}
        </fieldset>
      )}
      {phase === 'told' && (
        <div className="sends-told" role="status">
          <p>
            <strong>{verdictText(play, given.answer)}</strong> {decidedText(play)}
          </p>
          {play.onFirst && given.answer === 'send' && <p>{trailText(play, given.trail)}</p>}
          <p className="quiet">
            {percent(judged.safe)} safe, needs {percent(judged.needed)}.
            {given.guess !== undefined && ` You said ${percent(given.guess)}.`}
          </p>
          <Button autoFocus onClick={onNext}>
            Next
          </Button>
        </div>
      )}
    </>
  );
}

type Tap = readonly [text: string, onTap: () => void];

/** Two answers for two thumbs. */
function Pair({ stay, go }: { stay: Tap; go: Tap }) {
  return (
    <div className="tap-grid">
      <TapButton className="tap-quiet" onTap={stay[1]}>
        {stay[0]}
      </TapButton>
      <TapButton onTap={go[1]}>{go[0]}</TapButton>
    </div>
  );
}

function trailText({ letThrough }: TrainerPlay, told: TrailAnswer | undefined): string {
  const best = bestForTrail(true, letThrough);
  const why = letThrough ? 'the throw went through' : 'the throw was cut';
  const what = best === 'third' ? 'third' : 'stop at second';
  if (told === undefined) return `Runner from first: not told in time. It was ${what}, ${why}.`;
  return `Runner from first: ${what}, ${why}. ${told === best ? 'Right.' : 'Wrong.'}`;
}

/** So near either is right. */
const EITHER = 0.05;

function verdictText({ judged }: TrainerPlay, answer: SendAnswer): string {
  const best = judged.best === 'send' ? 'Send' : 'Hold';
  if (answer === 'none') return `Too late. ${best}.`;
  if (Math.abs(judged.edge) < EITHER) return 'Too close to matter: either is right.';
  if (answer === judged.best) return `${best}: right.`;
  const lost = lostBy(judged, answer).toFixed(2).replace(/^0/, '');
  return `${best}: ${answer === 'send' ? 'sending' : 'holding'} here loses ${lost} runs.`;
}

function decidedText({ judged, decided }: TrainerPlay): string {
  if (Math.abs(judged.edge) < EITHER || !decided) return '';
  return DECIDER_TEXT[decided.decider][decided.change > 0 ? 0 : 1];
}
