import type { Cue, ReadRep } from '@bradyon/core/drills';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { newId } from '../../api/index.ts';
import { TapButton, useKeys } from '../../ui/index.ts';
import { Figure } from '../../ui/figure/index.ts';
import {
  drawLook,
  isFlight,
  lookAt,
  mostShown,
  PITCHER_AT,
  PITCHER_SIZE,
  PLATE_X,
  setSeconds,
  type Look,
  type OpponentLook,
} from './moves.ts';
import { useAwake } from '../../ui/useAwake.ts';
import { CUE_ANSWERS, CUE_WAS } from './words.ts';

type Phase = 'waiting' | 'set' | 'moving' | 'asked' | 'told';

/** Between two looks, seconds. */
const PAUSE_SECONDS = 1.4;

/** A look after the other: set, the move cut off, the answer. @param own the opponent the looks are like; null: anybody */
export function ReadTrainer({
  cue,
  shownSeconds,
  own,
  onAnswer,
}: {
  cue: Cue;
  shownSeconds: number;
  own: OpponentLook | null;
  onAnswer: (rep: ReadRep) => void;
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
    const startsMs = performance.now() + setSeconds(Math.random, own) * 1000;
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
    // A look begins once; that it moves is no other look, and whose it is comes with the look.
    // eslint-disable-next-line react-hooks/exhaustive-deps
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
