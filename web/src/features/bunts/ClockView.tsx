import type { SqueezeClock } from '@bradyon/core/bunts';
import { useDrag } from '@use-gesture/react';
import { useRef, type KeyboardEvent } from 'react';
import { seconds } from '../../ui/index.ts';
import { useWidth } from '../../ui/useWidth.ts';

const FROM = -0.6;
const TO = 0.75;
const HEIGHT = 190;
const AXIS = 108;
const LATEST_SHOW = 0.4;
const LATEST_BREAK = 0.4;

/** The pitch from set to plate, and two marks on it: when the runner breaks, when the batter shows. */
export function ClockView({
  clock,
  earliestBreak,
  best,
  onBreak,
  onShow,
}: {
  clock: SqueezeClock;
  earliestBreak: number;
  best: SqueezeClock;
  onBreak: (at: number) => void;
  onShow: (at: number) => void;
}) {
  const [ref, width] = useWidth<HTMLDivElement>(600);
  const picture = useRef<SVGSVGElement>(null);
  const x = (at: number): number => 24 + ((at - FROM) / (TO - FROM)) * (width - 48);
  const contact = clock.releaseSeconds + clock.pitchSeconds;
  const events = [
    { at: 0, text: 'foot lands', row: 0 },
    { at: clock.releaseSeconds, text: 'release', row: 1 },
    { at: contact, text: 'contact', row: 0 },
  ];
  const timeAt = (clientX: number): number => {
    const left = picture.current?.getBoundingClientRect().left ?? 0;
    return FROM + ((clientX - left - 24) / (width - 48)) * (TO - FROM);
  };
  return (
    <div ref={ref}>
      <svg ref={picture} className="squeeze-clock" width={width} height={HEIGHT}>
        <line className="squeeze-axis" x1={x(FROM)} x2={x(TO)} y1={AXIS} y2={AXIS} />
        {[best.breakSeconds, best.showSeconds].map((at, index) => (
          <rect
            key={index}
            className="squeeze-window"
            x={x(at - 0.05)}
            width={x(at + 0.05) - x(at - 0.05)}
            y={index === 0 ? 34 : AXIS + 10}
            height={56}
            rx="4"
          />
        ))}
        {events.map(({ at, text, row }) => (
          <g key={text}>
            <line className="squeeze-event" x1={x(at)} x2={x(at)} y1={26} y2={HEIGHT - 18} />
            <text x={x(at)} y={row === 0 ? 16 : HEIGHT - 4} textAnchor="middle">
              {text}
            </text>
          </g>
        ))}
        <ClockMark
          name="Runner breaks"
          className="squeeze-break"
          at={clock.breakSeconds}
          min={earliestBreak}
          max={LATEST_BREAK}
          x={x(clock.breakSeconds)}
          y={62}
          timeAt={timeAt}
          onMove={onBreak}
        />
        <ClockMark
          name="Batter shows"
          className="squeeze-show"
          at={clock.showSeconds}
          min={-0.4}
          max={LATEST_SHOW}
          x={x(clock.showSeconds)}
          y={AXIS + 38}
          timeAt={timeAt}
          onMove={onShow}
        />
      </svg>
    </div>
  );
}

const KEY_STEPS: Record<string, number> = {
  ArrowLeft: -0.01,
  ArrowDown: -0.01,
  ArrowRight: 0.01,
  ArrowUp: 0.01,
  PageDown: -0.05,
  PageUp: 0.05,
};

function ClockMark({
  name,
  className,
  at,
  min,
  max,
  x,
  y,
  timeAt,
  onMove,
}: {
  name: string;
  className: string;
  at: number;
  min: number;
  max: number;
  x: number;
  y: number;
  timeAt: (clientX: number) => number;
  onMove: (at: number) => void;
}) {
  const move = (to: number): void => {
    onMove(Math.round(Math.min(max, Math.max(min, to)) * 100) / 100);
  };
  const bind = useDrag(
    ({ xy: [clientX] }) => {
      move(timeAt(clientX));
    },
    { pointer: { keys: false } },
  );
  const onKeyDown = (event: KeyboardEvent): void => {
    const by = KEY_STEPS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    move(at + by);
  };
  const isLate = x > 300;
  return (
    <g
      {...bind()}
      className={`squeeze-mark ${className}`}
      transform={`translate(${String(x)} ${String(y)})`}
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={at}
      aria-valuemin={min}
      aria-valuemax={max}
      aria-valuetext={`${seconds(at)} against the front foot`}
      onKeyDown={onKeyDown}
    >
      <rect x="-24" y="-24" width="48" height="48" fill="transparent" />
      <circle r="11" />
      <text x={isLate ? -20 : 20} y="5" textAnchor={isLate ? 'end' : 'start'}>
        {name} {seconds(at)}
      </text>
    </g>
  );
}
