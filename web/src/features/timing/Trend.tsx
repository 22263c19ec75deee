import type { Population } from '@bradyon/core/sprint';
import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { Chart } from '../../ui/Chart.tsx';
import { seconds, shortDate } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { meansByDay } from './trend.ts';
import { titleOf, toneOf } from './words.ts';

/** One kind of time by date: every reading that counts, and the mean of each day. */
export function Trend({ populations }: { populations: readonly Population[] }) {
  const id = useId();
  const { timeZone } = useTeam();
  const timed = populations.filter(({ newestAt }) => newestAt !== null);
  const most = timed.toSorted((a, b) => b.readings.length - a.readings.length)[0];
  const [key, setKey] = useState<string | null>(null);
  const shown = timed.find((each) => each.key === key) ?? most;
  if (!shown) return <p className="quiet">No times that count yet.</p>;
  const counting = shown.readings.filter(({ asideReason }) => asideReason === null);
  const days = meansByDay(counting, timeZone);
  const [first, last] = [days[0], days.at(-1)];
  return (
    <>
      <Form.Select
        id={id}
        aria-label="Time"
        value={shown.key}
        onChange={({ target }) => {
          setKey(target.value);
        }}
      >
        {timed.map((each) => (
          <option key={each.key} value={each.key}>
            {titleOf(each.context)}
          </option>
        ))}
      </Form.Select>
      <Chart
        height={210}
        option={(colour) => ({
          grid: { left: 54, right: 14, top: 14, bottom: 28 },
          xAxis: {
            type: 'time',
            axisLabel: { color: colour('--ink-quiet'), formatter: '{d} {MMM}', hideOverlap: true },
            axisLine: { lineStyle: { color: colour('--line') } },
            splitLine: { show: false },
          },
          yAxis: {
            type: 'value',
            scale: true,
            axisLabel: {
              color: colour('--ink-quiet'),
              formatter: seconds,
            },
            splitLine: { lineStyle: { color: colour('--line') } },
          },
          series: [
            {
              type: 'line',
              data: days.map(({ at, meanSeconds }) => [at, meanSeconds]),
              symbol: 'none',
              lineStyle: { color: colour('--ink-quiet'), width: 2 },
            },
            {
              type: 'scatter',
              data: counting.map(({ takenAt, seconds: value }) => [takenAt, value]),
              symbolSize: 9,
              itemStyle: {
                color: colour(toneOf(shown.context.kind) === 'runner' ? '--pine' : '--clay'),
                opacity: 0.75,
              },
            },
          ],
        })}
        words={
          first && last
            ? `${titleOf(shown.context)}: ${seconds(first.meanSeconds)} on ${shortDate(first.at)}, ${seconds(last.meanSeconds)} on ${shortDate(last.at)}, over ${String(days.length)} ${days.length === 1 ? 'day' : 'days'}.`
            : ''
        }
      />
    </>
  );
}
