import { useMemo } from 'react';
import Button from 'react-bootstrap/Button';
import type { Marking } from './useMarking.ts';
import type { MotionInHand } from './useMotion.ts';
import type { ClipSound } from './useSound.ts';
import type { VideoInHand } from './useVideo.ts';

/** Where a camera usually stands, until the coach says: a distance to be set at the mark. */
const USUAL_FEET = 60;
const HEIGHT = 44;
/** Marks that make a sound; a first move and a foot on a bag do not. */
const SOUNDING: ReadonlySet<string> = new Set([
  'mitt',
  'bag',
  'glove',
  'bat meets ball',
  'ball hit',
  'fielded',
  'base',
]);

const SOUND_WORDS = {
  loading: 'Listening to the clip.',
  none: 'This clip has no sound.',
  large: 'This clip is too large to listen to. Cut it shorter to use its sound.',
  failed: 'The clip’s sound did not load. Open it again.',
};

/** Under the frames: what is heard along the clip, and when the box in the picture moves. Marks snap to either. */
export function ClipTraces({
  sound,
  motion,
  marking,
  video,
  isBoxing,
  onBox,
}: {
  sound: ClipSound;
  motion: MotionInHand;
  marking: Marking;
  video: VideoInHand;
  /** The coach draws the box right now. */
  isBoxing: boolean;
  onBox: (on: boolean) => void;
}) {
  return (
    <div className="clip-traces">
      <SoundTrace sound={sound} marking={marking} video={video} />
      <MotionTrace
        hand={motion}
        marking={marking}
        video={video}
        isBoxing={isBoxing}
        onBox={onBox}
      />
    </div>
  );
}

function SoundTrace({
  sound,
  marking,
  video,
}: {
  sound: ClipSound;
  marking: Marking;
  video: VideoInHand;
}) {
  if (sound.is !== 'heard') return <p className="quiet">{SOUND_WORDS[sound.is]}</p>;
  if (marking.isSlowMotion) {
    return (
      <p className="quiet">
        The sound of a slow-motion clip is not used: it is often stretched or missing.
      </p>
    );
  }
  const { onsets, envelope } = sound;
  const { duration } = video;
  // The sound that was asked for counts at once: on a slow device its picture comes later.
  const at = video.heading ?? video.shown;
  /** Points of the drawing in a second, and in the whole clip. */
  const pace = envelope.length / sound.seconds;
  const width = pace * duration;
  const frame = 1 / (video.playFps ?? 30);
  // While the clip's speed is measured it is played, and then set back.
  const isReady = video.playFps !== null;
  const here = onsets.find(({ atSeconds }) => Math.abs(atSeconds - at) <= 1.5 * frame);
  const audible = marking.marks.filter(({ name }) => SOUNDING.has(name));
  const due = audible.find(({ mark }) => mark === null) ?? audible.at(-1);
  const go = (way: 1 | -1): void => {
    const next =
      way === 1
        ? onsets.find(({ atSeconds }) => atSeconds > at + 2 * frame)
        : onsets.findLast(({ atSeconds }) => atSeconds < at - 2 * frame);
    if (next) video.seek(next.atSeconds + frame / 2);
  };
  return (
    <div className="clip-trace">
      <svg
        className="clip-sound"
        viewBox={`0 0 ${String(width)} ${String(HEIGHT)}`}
        width="100%"
        height={HEIGHT}
        preserveAspectRatio="none"
        role="img"
        aria-label={`Sound: ${String(onsets.length)} sharp ${onsets.length === 1 ? 'sound' : 'sounds'}`}
      >
        <path d={outline(envelope)} />
        {onsets.map(({ atSeconds, isSure }) => (
          <line
            key={atSeconds}
            className={isSure ? 'clip-onset' : 'clip-onset clip-onset-unsure'}
            x1={atSeconds * pace}
            x2={atSeconds * pace}
            y1="0"
            y2={HEIGHT}
          />
        ))}
      </svg>
      <div className="clip-trace-row">
        {onsets.length === 0 ? (
          <span className="quiet">No sharp sound stands out.</span>
        ) : (
          <>
            <Button
              variant="outline-primary"
              disabled={!isReady}
              onClick={() => {
                go(-1);
              }}
            >
              Sound before
            </Button>
            <Button
              variant="outline-primary"
              disabled={!isReady}
              onClick={() => {
                go(1);
              }}
            >
              Next sound
            </Button>
            {due && (
              <Button
                disabled={!here}
                onClick={() => {
                  if (!here) return;
                  const index = marking.marks.indexOf(due);
                  marking.mark(index, { heardAt: here.atSeconds, feet: USUAL_FEET });
                }}
              >
                Mark {due.name} by this sound
              </Button>
            )}
            <span className="quiet" role="status">
              {here
                ? `${here.isSure ? 'Heard' : 'Heard, not sure'} at ${here.atSeconds.toFixed(3)}\u00a0s`
                : `${String(onsets.length)} heard`}
            </span>
          </>
        )}
      </div>
    </div>
  );
}

function outline(envelope: readonly number[]): string {
  const loudest = Math.max(...envelope, 1e-6);
  const half = HEIGHT / 2;
  const up = envelope.map(
    (each, at) => `L${String(at)} ${(half - (half * each) / loudest).toFixed(1)}`,
  );
  const down = envelope
    .map((each, at) => `L${String(at)} ${(half + (half * each) / loudest).toFixed(1)}`)
    .toReversed();
  return `M0 ${String(half)}${up.join('')}${down.join('')}Z`;
}

function MotionTrace({
  hand,
  marking,
  video,
  isBoxing,
  onBox,
}: {
  hand: MotionInHand;
  marking: Marking;
  video: VideoInHand;
  isBoxing: boolean;
  onBox: (on: boolean) => void;
}) {
  const { motion, problem } = hand;
  const first = marking.marks[0];
  const line = useMemo(() => (motion ? lineOf(motion.trace, motion.frames) : ''), [motion]);
  return (
    <div className="clip-trace">
      {motion && (
        <svg
          className="clip-motion"
          viewBox={`0 0 ${String(Math.max(1, motion.frames))} ${String(HEIGHT)}`}
          width="100%"
          height={HEIGHT}
          preserveAspectRatio="none"
          role="img"
          aria-label="Motion in the box, frame by frame"
        >
          <polyline points={line} />
        </svg>
      )}
      <div className="clip-trace-row">
        <Button
          variant="outline-primary"
          active={isBoxing}
          aria-pressed={isBoxing}
          onClick={() => {
            onBox(!isBoxing);
          }}
        >
          Draw a box
        </Button>
        {motion && !motion.isOver ? (
          <>
            <Button variant="outline-primary" onClick={hand.stop}>
              Stop
            </Button>
            <span role="status">
              Frame {motion.trace.length} of {motion.frames}
            </span>
          </>
        ) : (
          <Button
            variant="outline-primary"
            disabled={video.playFps === null}
            onClick={() => {
              onBox(false);
              hand.look(video.shown);
            }}
          >
            Find the first move
          </Button>
        )}
        {motion?.isOver && (
          <>
            <span role="status">
              {motion.firstMoveAt === null
                ? 'Nothing there moves from a rest. Draw the box tighter, or step to it.'
                : `Moves first in frame ${String(Math.round(motion.firstMoveAt * (video.playFps ?? 30)))}.`}
            </span>
            {motion.firstMoveAt !== null && (
              <Button
                onClick={() => {
                  const at = motion.firstMoveAt;
                  if (at === null) return;
                  marking.mark(0, { seenAt: at });
                  video.seek(at + 0.5 / (video.playFps ?? 30));
                }}
              >
                Mark {first?.name} there
              </Button>
            )}
          </>
        )}
      </div>
      {isBoxing && (
        <p className="quiet">
          Drag over the picture around who moves. Without a box the whole picture counts.
        </p>
      )}
      {problem && (
        <p className="form-failure" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}

function lineOf(trace: readonly number[], frames: number): string {
  const most = Math.max(...trace, 1e-6);
  return trace
    .slice(0, Math.max(1, frames))
    .map((each, at) => `${String(at)},${(HEIGHT - 2 - ((HEIGHT - 4) * each) / most).toFixed(1)}`)
    .join(' ');
}
