import { ChevronFirst, ChevronLast, ChevronLeft, ChevronRight, Pause, Play } from 'lucide-react';
import { useId, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import { seconds } from '../../ui/index.ts';
import type { VideoInHand } from './useVideo.ts';

/** Where the clip stands, and the steps to another frame. */
export function ClipPlayer({
  video,
  isReady,
  playFps,
  marks,
  tenth,
}: {
  video: VideoInHand;
  isReady: boolean;
  playFps: number;
  marks: readonly { name: string; at: number | null }[];
  /** Steps by tenths of true time. */
  tenth: (by: number) => void;
}) {
  return (
    <>
      <Timeline shown={video.shown} duration={video.duration} marks={marks} onSeek={video.seek} />
      <div className="clip-steps" role="group" aria-label="Step through the clip">
        <StepButton
          disabled={!isReady}
          label="Back a tenth"
          onClick={() => {
            tenth(-1);
          }}
        >
          <ChevronFirst size={20} aria-hidden="true" /> .1
        </StepButton>
        <StepButton
          disabled={!isReady}
          label="Back a frame"
          onClick={() => {
            video.step(-1);
          }}
        >
          <ChevronLeft size={20} aria-hidden="true" /> frame
        </StepButton>
        <StepButton
          disabled={!isReady}
          label={video.playing ? 'Pause' : 'Play'}
          onClick={video.toggle}
        >
          {video.playing ? (
            <Pause size={20} aria-hidden="true" />
          ) : (
            <Play size={20} aria-hidden="true" />
          )}
        </StepButton>
        <StepButton
          disabled={!isReady}
          label="On a frame"
          onClick={() => {
            video.step(1);
          }}
        >
          frame <ChevronRight size={20} aria-hidden="true" />
        </StepButton>
        <StepButton
          disabled={!isReady}
          label="On a tenth"
          onClick={() => {
            tenth(1);
          }}
        >
          .1 <ChevronLast size={20} aria-hidden="true" />
        </StepButton>
        <output className="figure clip-place" aria-label="Frame shown">
          {isReady ? `frame ${String(Math.round(video.shown * playFps))}` : 'looking at it'}
        </output>
      </div>
    </>
  );
}

function StepButton({
  label,
  disabled,
  onClick,
  children,
}: {
  label: string;
  disabled: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <Button
      variant="outline-primary"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </Button>
  );
}

/** Where the frame and the marks lie in the clip. */
function Timeline({
  shown,
  duration,
  marks,
  onSeek,
}: {
  shown: number;
  duration: number;
  marks: readonly { name: string; at: number | null }[];
  onSeek: (seconds: number) => void;
}) {
  const id = useId();
  return (
    <div className="clip-timeline">
      <label htmlFor={id} className="visually-hidden">
        Place in the clip
      </label>
      <input
        id={id}
        type="range"
        min={0}
        max={Math.max(duration, 0.1)}
        step="any"
        value={Math.min(shown, duration)}
        aria-valuetext={seconds(shown)}
        onChange={({ target }) => {
          onSeek(Number(target.value));
        }}
      />
      <svg className="clip-flags" width="100%" height="22" aria-hidden="true">
        {marks.map(({ name, at }) =>
          at === null || duration === 0 ? null : (
            <g key={name}>
              <line
                x1={`${String((at / duration) * 100)}%`}
                x2={`${String((at / duration) * 100)}%`}
                y1="0"
                y2="8"
              />
              <text
                x={`${String(Math.min(92, Math.max(4, (at / duration) * 100)))}%`}
                y="20"
                textAnchor="middle"
              >
                {name}
              </text>
            </g>
          ),
        )}
      </svg>
    </div>
  );
}
