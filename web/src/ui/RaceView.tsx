import { useId } from 'react';
import { BAR_TOP, layOutRace, type Lane, type RaceLayout, type RaceSize } from './raceLayout.ts';
import './RaceView.scss';
import { useWidth } from './useWidth.ts';

export type { Lane } from './raceLayout.ts';

/**
 * The race: two lanes to one time scale, each ending in its spread, the gap between them.
 * Every race there is uses this picture. Its text twin is for screen readers.
 */
export function RaceView({
  lanes,
  gapWords,
  gapGood,
  twin,
  size = 'usual',
}: {
  lanes: readonly [Lane, Lane];
  /** The gap in seconds and feet. */
  gapWords: string;
  /** Whether the gap is in the runner's favour. */
  gapGood: boolean;
  twin: string;
  size?: RaceSize;
}) {
  const [ref, width] = useWidth<HTMLDivElement>(640);
  const hatch = useId();
  const layout = layOutRace(lanes, width, size);
  const top = layout.lanes[0]?.top ?? 0;
  return (
    <div ref={ref} className="race">
      <p className="visually-hidden">{twin}</p>
      <svg width={width} height={layout.height} aria-hidden="true">
        <pattern
          id={hatch}
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect className="race-hatch" width="2.5" height="7" />
        </pattern>
        {layout.ticks.map(({ x, text }) => (
          <g key={text} className="race-tick">
            <line x1={x} x2={x} y1={top + BAR_TOP - 6} y2={layout.axisY - 12} />
            <text x={x} y={layout.axisY + 4} textAnchor={text === '0 s' ? 'start' : 'middle'}>
              {text}
            </text>
          </g>
        ))}
        {layout.lanes.map((lane) => (
          <LaneBars key={lane.title} lane={lane} barHeight={layout.barHeight} hatch={hatch} />
        ))}
        <Gap layout={layout} words={gapWords} good={gapGood} width={width} />
      </svg>
    </div>
  );
}

function LaneBars({
  lane,
  barHeight,
  hatch,
}: {
  lane: RaceLayout['lanes'][number];
  barHeight: number;
  hatch: string;
}) {
  const last = lane.bars.length - 1;
  return (
    <g transform={`translate(0 ${String(lane.top)})`} className={`race-lane race-${lane.tone}`}>
      <text className="race-title" x="10" y={BAR_TOP - 9}>
        {lane.title}
      </text>
      {lane.hump && <path className="race-hump" d={lane.hump} />}
      {lane.bars.map((bar, index) => (
        <g key={bar.label} className={`race-leg race-leg-${String(index)}`}>
          <rect x={bar.x} y={BAR_TOP} width={bar.width} height={barHeight} rx="4" />
          {!bar.own && (
            <rect
              x={bar.x}
              y={BAR_TOP}
              width={bar.width}
              height={barHeight}
              rx="4"
              fill={`url(#${hatch})`}
            />
          )}
          {bar.inside ? (
            <text className="race-inside" x={bar.x + 10} y={BAR_TOP + barHeight / 2 + 5}>
              {bar.text}
            </text>
          ) : (
            <text
              className="race-under"
              x={index === last ? bar.x + bar.width : bar.x}
              y={BAR_TOP + barHeight + 16}
              textAnchor={index === last ? 'end' : 'start'}
            >
              {bar.text}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

function Gap({
  layout,
  words,
  good,
  width,
}: {
  layout: RaceLayout;
  words: string;
  good: boolean;
  width: number;
}) {
  const { fromX, toX, y } = layout.gap;
  return (
    <g className={good ? 'race-gap race-gap-good' : 'race-gap race-gap-bad'}>
      {layout.lanes.map(({ endX, top, title }) => (
        <line key={title} className="race-drop" x1={endX} x2={endX} y1={top + BAR_TOP} y2={y + 3} />
      ))}
      <rect x={fromX} y={y} width={Math.max(2, toX - fromX)} height="6" rx="2" />
      <text x={Math.min(toX + 2, width - 10)} y={y + 26} textAnchor="end">
        {words}
      </text>
    </g>
  );
}
