import { hundredths, seconds } from './format.ts';
import { swarm } from './swarm.ts';
import './SpreadDots.scss';
import { useWidth } from './useWidth.ts';

interface Dot {
  key: string;
  seconds: number;
  /** Set aside: drawn hollow, outside the estimate. */
  aside: boolean;
}

/**
 * Times as dots on a line, with the estimate and its band, so that nobody takes one lucky tap for
 * a fact. The words beside it say the same, so the picture is hidden from screen readers.
 */
export function SpreadDots({
  dots,
  meanSeconds,
  giveOrTakeSeconds,
  tone,
}: {
  dots: readonly Dot[];
  meanSeconds: number | null;
  giveOrTakeSeconds: number | null;
  tone: 'ball' | 'runner';
}) {
  const [ref, width] = useWidth<HTMLDivElement>(320);
  if (dots.length === 0) return <div ref={ref} />;
  const laidOut = swarm(
    dots.map(({ seconds }) => seconds),
    width,
  );
  const { xOf, minSeconds, maxSeconds, levels } = laidOut;
  const lineY = 8 + Math.max(2, levels) * 9;
  const band =
    meanSeconds === null || giveOrTakeSeconds === null
      ? null
      : [meanSeconds - giveOrTakeSeconds, meanSeconds + giveOrTakeSeconds].map(xOf);
  return (
    <div ref={ref} className={`spread spread-${tone}`}>
      <svg width={width} height={lineY + 18} aria-hidden="true">
        {band && (
          <rect
            className="spread-band"
            x={band[0]}
            y="2"
            width={(band[1] ?? 0) - (band[0] ?? 0)}
            height={lineY - 2}
            rx="4"
          />
        )}
        <line className="spread-line" x1="0" x2={width} y1={lineY} y2={lineY} />
        {meanSeconds !== null && (
          <line
            className="spread-mean"
            x1={xOf(meanSeconds)}
            x2={xOf(meanSeconds)}
            y1="2"
            y2={lineY + 4}
          />
        )}
        {laidOut.dots.map(({ x, level }, index) => (
          <circle
            key={dots[index]?.key}
            className={dots[index]?.aside ? 'spread-aside' : 'spread-dot'}
            cx={x}
            cy={lineY - 5.5 - level * 9}
            r="4"
          />
        ))}
        <text className="spread-end" x="0" y={lineY + 15}>
          {hundredths(minSeconds)}
        </text>
        <text className="spread-end" x={width} y={lineY + 15} textAnchor="end">
          {seconds(maxSeconds)}
        </text>
      </svg>
    </div>
  );
}
