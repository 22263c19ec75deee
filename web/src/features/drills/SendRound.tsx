import { lostBy, sendScore, type SendAnswer, type SendLevelName } from '@bradyon/core/drills';
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
import { levelOf, sendSceneAt } from './sendScene.ts';
import { useAwake } from './useAwake.ts';
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

/** Ten plays of a level. @param seed not shown to anybody */
export function SendRound({
  level,
  seed,
  onAnswer,
  onEnd,
}: {
  level: LevelName;
  seed: number;
  onAnswer: (rep: { level: SendLevelName; seed: number; answer: SendAnswer }) => void;
  onEnd: () => void;
}) {
  const name = LEVELS[level];
  const [values] = useState(() => valuesAt(level));
  const plays = useQuery({
    queryKey: ['send plays', name, seed],
    queryFn: () => inDrillWorker((heavy) => heavy.plays(name, seed, PLAYS, values)),
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
      onAnswer={(play, answer) => {
        onAnswer({ level: name, seed: play.seed, answer });
      }}
      onEnd={onEnd}
    />
  );
}

/** One play after the other. */
function Round({
  plays,
  onAnswer,
  onEnd,
}: {
  plays: readonly TrainerPlay[];
  onAnswer: (play: TrainerPlay, answer: SendAnswer) => void;
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
      onAnswer={(answer) => {
        setGiven((before) => [...before, answer]);
        onAnswer(play, answer);
      }}
      onNext={() => {
        setNth(nth + 1);
      }}
    />
  );
}

/** From the picture to the crack of the bat, seconds. */
const READY_SECONDS = 1.2;
export const OUTS_TEXT = ['Nobody out', 'One out', 'Two out'] as const;

function Play({
  play,
  nth,
  of,
  onAnswer,
  onNext,
}: {
  play: TrainerPlay;
  nth: number;
  of: number;
  onAnswer: (answer: SendAnswer) => void;
  onNext: () => void;
}) {
  const [at, setAt] = useState(-READY_SECONDS);
  const [answer, setAnswer] = useState<SendAnswer | null>(null);
  const told = useRef(false);
  const isOver = answer !== null;
  const { judged, situation } = play;
  const say = (said: SendAnswer): void => {
    if (told.current || at < 0) return;
    told.current = true;
    setAnswer(said);
    onAnswer(said);
  };
  const late = useRef(() => {
    /* set below */
  });
  useEffect(() => {
    late.current = () => {
      say('none');
    };
  });
  useEffect(() => {
    if (isOver) return;
    const startMs = performance.now() + READY_SECONDS * 1000;
    let frame = 0;
    const draw = (): void => {
      const since = (performance.now() - startMs) / 1000;
      setAt(since);
      if (since >= judged.stopSeconds) late.current();
      else frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [isOver, judged.stopSeconds]);
  useKeys({
    s: () => {
      say('send');
    },
    h: () => {
      say('hold');
    },
  });
  const level = levelOf(situation.level);
  const scene = sendSceneAt(play, Math.max(0, at));
  const deep = level.centerDepth * 1.15;
  const isBobbled = situation.bobbled && at >= judged.fieldedSeconds;
  return (
    <>
      <p className="sends-where">
        {nth + 1} of {of}. <strong>{OUTS_TEXT[situation.outs]}</strong>, single to{' '}
        {situation.field === 'centre' ? 'center' : situation.field}.
      </p>
      <FieldView
        view={{ left: -deep * 0.62, top: deep, width: deep * 1.24, height: deep + 20 }}
        baseFeet={level.baseFeet}
        pitchingFeet={level.sport === 'softball' ? 43 : 60.5}
        label="A single with a runner on second."
      >
        <FieldMark spot={scene.outfielder} tone="fielder" text={isBobbled ? 'bobbled' : ''} />
        <FieldMark spot={scene.runner} tone="runner" text="" />
        <FieldMark spot={scene.ball} tone="fielder" text="ball" />
      </FieldView>
      {answer === null ? (
        <div className="tap-grid">
          <TapButton
            className="tap-quiet"
            onTap={() => {
              say('hold');
            }}
          >
            Hold
          </TapButton>
          <TapButton
            onTap={() => {
              say('send');
            }}
          >
            Send
          </TapButton>
        </div>
      ) : (
        <div className="sends-told" role="status">
          <p>
            <strong>{verdictText(play, answer)}</strong> {decidedText(play)}
          </p>
          <p className="quiet">
            {percent(judged.safe)} safe, needs {percent(judged.needed)}.
          </p>
          <Button autoFocus onClick={onNext}>
            Next
          </Button>
        </div>
      )}
    </>
  );
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
