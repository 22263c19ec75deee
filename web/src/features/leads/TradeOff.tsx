import { MODE_EFFECTS, tradeOff, type Throw } from '@bradyon/core/leads';
import { commonLeadFeet, predictRun } from '@bradyon/core/sprint';
import { judgeSteal, pitchesFor, type StealQuestion } from '@bradyon/core/steals';
import { useMemo } from 'react';
import { Chart } from '../../ui/Chart.tsx';
import { feet, percent } from '../../ui/index.ts';
import { useNeeded } from '../innings/index.ts';
import type { Out } from './LeadPage.tsx';
import type { Leads } from './useLeads.ts';
import { inThrows } from './words.ts';

const LEADS = Array.from({ length: 21 }, (_, index) => 6 + index / 2);

/** One more foot: the chance to be picked against the chance to be safe. */
export function TradeOff({
  leads,
  out: { runner, pitcher, catcher },
  asked,
  leadFeet,
}: {
  leads: Leads;
  out: Out;
  asked: Throw;
  leadFeet: number;
}) {
  const { times, team } = leads;
  const question: StealQuestion | null = catcher && {
    field: times.field,
    base: 'second',
    kind: 'straight',
    style: 'legLift',
    pitcher: { person: pitcher, populations: times.of(pitcher) },
    catcher: { person: catcher, populations: times.of(catcher) },
    runner: { person: runner, populations: times.of(runner), form: times.runner(runner) },
    leadFeet: null,
    batter: null,
  };
  const { needed, from, words } = useNeeded('second');
  const judging = { pitches: pitchesFor({ count: null }), needed };
  const usual = commonLeadFeet({ kind: 'steal', base: 'second' }, team.ruleset) ?? 0;
  const steal = question && judgeSteal(question, judging);
  const { fit } = times.runner(runner);
  const secondsFrom = (lead: number): number =>
    predictRun(fit, { kind: 'steal', leadFeet: lead, startSpeed: 0 }, times.field).meanSeconds;
  // Leaning either way is paid for in the jump as well.
  const jump = MODE_EFFECTS[asked.stance.mode].jumpSeconds;
  const safeAt = (lead: number): number =>
    steal ? steal.chanceWith(secondsFrom(usual) - secondsFrom(lead) - jump) : 0;
  const points = tradeOff(asked, safeAt, LEADS);
  const [here, farther] = tradeOff(asked, safeAt, [leadFeet, leadFeet + 1]);
  const said =
    here && farther
      ? `At ${feet(leadFeet)}: ${inThrows(here.picked)}, ${percent(here.safe)} safe at second. One foot more: ${inThrows(farther.picked)}, ${percent(farther.safe)} safe. He needs ${percent(needed)}${from === 'situation' ? ` with ${words}` : ', your rule'}.`
      : '';
  // The chart is drawn anew only when what it shows changes.
  const shown = JSON.stringify([points, leadFeet, needed]);
  const option = useMemo(() => {
    const [data, lead, needs] = JSON.parse(shown) as [typeof points, number, number];
    return (colour: (token: string) => string) => ({
      grid: { left: 46, right: 16, top: 30, bottom: 40 },
      xAxis: {
        type: 'value',
        min: LEADS[0],
        max: LEADS.at(-1),
        name: 'lead, ft',
        nameLocation: 'middle',
        nameGap: 26,
        nameTextStyle: { color: colour('--ink-quiet') },
        axisLabel: { color: colour('--ink-quiet') },
        splitLine: { show: false },
      },
      yAxis: {
        type: 'value',
        min: 0,
        max: 100,
        axisLabel: { color: colour('--ink-quiet'), formatter: '{value} %' },
        splitLine: { lineStyle: { color: colour('--line') } },
      },
      series: [
        line(
          'safe at second',
          colour('--pine-ink'),
          data.map((point) => [point.leadFeet, point.safe * 100]),
        ),
        line(
          'out on a throw over',
          colour('--clay-ink'),
          data.map((point) => [point.leadFeet, point.picked * 100]),
        ),
        dashed(colour('--ink-quiet'), [
          [lead, 0],
          [lead, 100],
        ]),
        dashed(colour('--pine-ink'), [
          [LEADS[0] ?? 0, needs * 100],
          [LEADS.at(-1) ?? 0, needs * 100],
        ]),
      ],
    });
  }, [shown]);
  return (
    <section className="card-box">
      <h2>One more foot</h2>
      <div className="trade-legend" aria-hidden="true">
        <span className="trade-safe">safe at second if he goes</span>
        <span className="trade-needed">what he needs, {percent(needed)}</span>
        <span className="trade-picked">out if they throw over</span>
      </div>
      <Chart height={230} option={option} words={said} />
    </section>
  );
}

function line(name: string, color: string, data: number[][]) {
  return {
    type: 'line',
    name,
    data,
    symbol: 'none',
    smooth: false,
    lineStyle: { color, width: 3 },
  };
}

/** Where he stands, and what he needs. */
function dashed(color: string, data: number[][]) {
  return { type: 'line', data, symbol: 'none', lineStyle: { color, type: 'dashed', width: 1.5 } };
}
