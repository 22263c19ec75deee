import { LEAST_FOR_DIAGRAM, type Calibration } from '@bradyon/core/review';
import { useMemo, type ComponentProps } from 'react';
import { percent } from '../../ui/index.ts';
import { Chart } from '../../ui/Chart.tsx';

type Drawn = ComponentProps<typeof Chart>['option'];

/** Told chances against what came of them: bars with their doubt, what is ordinary behind, the line without bins. */
export function Reliability({ found }: { found: Calibration }) {
  const { diagram, line } = found;
  const option = useMemo<Drawn>(() => {
    const axis = {
      type: 'value',
      min: 0,
      max: 1,
      axisLabel: { formatter: (value: number) => `${String(Math.round(value * 100))}%` },
    } as const;
    return (colour) => {
      const plain = { type: 'line', symbol: 'none', silent: true } as const;
      const bins = diagram?.bins ?? [];
      return {
        grid: { left: 52, right: 14, top: 14, bottom: 44 },
        xAxis: { ...axis, name: 'Told', nameLocation: 'middle', nameGap: 28 },
        yAxis: { ...axis, name: 'Safe', nameLocation: 'middle', nameGap: 38 },
        series: [
          {
            ...plain,
            data: [
              [0, 0],
              [1, 1],
            ],
            lineStyle: { color: colour('--line'), width: 1.5 },
          },
          // What is ordinary when every chance is right.
          ...bins.map(({ told, expectedLow, expectedHigh }) => ({
            ...plain,
            data: [
              [told, expectedLow],
              [told, expectedHigh],
            ],
            lineStyle: { color: colour('--pine-soft'), width: 18, cap: 'butt' },
          })),
          ...bins.map(({ told, low, high }) => ({
            ...plain,
            data: [
              [told, low],
              [told, high],
            ],
            lineStyle: { color: colour('--ink'), width: 1.5 },
          })),
          {
            ...plain,
            step: 'end',
            data: line.steps.flatMap(({ from, to, share }) => [
              [from, share],
              [to, share],
            ]),
            lineStyle: { color: colour('--clay'), width: 2 },
          },
          {
            type: 'scatter',
            data: bins.map(({ told, share, isOutside }) => ({
              value: [told, share],
              itemStyle: { color: colour(isOutside ? '--brick' : '--pine') },
            })),
            symbolSize: 11,
            z: 5,
            silent: true,
          },
        ],
      };
    };
  }, [diagram, line]);
  if (!diagram) {
    return (
      <p className="quiet">A diagram takes {LEAST_FOR_DIAGRAM} attempts: fewer are luck in bars.</p>
    );
  }
  const outside = diagram.bins.filter(({ isOutside }) => isOutside).length;
  return (
    <Chart
      option={option}
      height={280}
      words={`${String(outside)} of ${String(diagram.bins.length)} bars lie outside what is ordinary; by luck alone at least as many ${percent(diagram.chanceAsManyOutside)} of the time.`}
    />
  );
}
