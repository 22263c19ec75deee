import { pitchesFor } from '@bradyon/core/race';
import {
  bestLead,
  MODE_EFFECTS,
  THROWS_OVER,
  tradeOff,
  type Throw,
  type ThrowsOver,
} from '@bradyon/core/leads';
import { commonLeadFeet, predictRun } from '@bradyon/core/sprint';
import { judgeSteal, questionOf, type StealQuestion } from '@bradyon/core/steals';
import { useMemo, useState } from 'react';
import { Chart } from '../../ui/Chart.tsx';
import {
  useDistanceUnit,
  inUnit,
  type DistanceUnit,
  Choice,
  distance,
  How,
  percent,
  Loading,
} from '../../ui/index.ts';
import { useNeeded } from '../innings/index.ts';
import type { Leads, Out } from './useLeads.ts';
import { bestLeadWords, inThrows } from './words.ts';

const OVER_TEXT: Record<ThrowsOver, string> = {
  rarely: 'Rarely',
  sometimes: 'Now and then',
  often: 'Often',
};
const SHORTEST_FEET = 6;
const LONGEST_FEET = 16;
const LEADS = Array.from({ length: 21 }, (_, index) => SHORTEST_FEET + index / 2);

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
  const delivery = leads.deliveryOf(pitcher);
  const question: StealQuestion = {
    ...questionOf(
      times,
      { pitcher, catcher, runner },
      { base: 'second', kind: 'straight', style: 'legLift', leadFeet: null, batter: null },
    ),
    supposed: delivery?.basis === 'supposed' ? { pitch: delivery.meanSeconds } : undefined,
  };
  const unit = useDistanceUnit();
  const [over, setOver] = useState<ThrowsOver>('sometimes');
  const { needed, from, words, isCurrent } = useNeeded('second');
  const judging = { pitches: pitchesFor({ count: null }), needed };
  const usual = commonLeadFeet({ kind: 'steal', base: 'second' }, team.ruleset) ?? 0;
  const steal = judgeSteal(question, judging);
  const { fit } = times.runner(runner);
  const secondsFrom = (lead: number): number =>
    predictRun(fit, { kind: 'steal', leadFeet: lead, startSpeed: 0 }, times.field).meanSeconds;
  // Leaning either way is paid for in the jump as well.
  const jump = MODE_EFFECTS[asked.stance.mode].jumpSeconds;
  const safeAt = (lead: number): number =>
    steal.chanceWith(secondsFrom(usual) - secondsFrom(lead) - jump);
  const points = tradeOff(asked, safeAt, LEADS);
  const [here, farther] = tradeOff(asked, safeAt, [leadFeet, leadFeet + 1]);
  const said =
    here && farther
      ? `At ${distance(leadFeet)}: ${inThrows(here.picked)}, ${percent(here.safe)} safe at second. One foot more: ${inThrows(farther.picked)}, ${percent(farther.safe)} safe. Needs ${percent(needed)}${from === 'situation' ? ` with ${words}` : ', your rule'}.`
      : '';
  // What a steal needs is what an out costs against all that hangs on it.
  const best = bestLead(asked, safeAt, { gain: 1 - needed, cost: needed }, THROWS_OVER[over], [
    SHORTEST_FEET,
    LONGEST_FEET,
  ]);
  // Another lineup's figure is no answer.
  if (!isCurrent) {
    return (
      <section className="card-box">
        <Loading what="the odds" />
      </section>
    );
  }
  return (
    <section className="card-box">
      <h2>One more foot</h2>
      <div className="trade-legend" aria-hidden="true">
        <span className="trade-safe">safe at second if they go</span>
        <span className="trade-needed">what they need, {percent(needed)}</span>
        <span className="trade-picked">out if they throw over</span>
      </div>
      <TradeChart shown={JSON.stringify([points, leadFeet, needed, unit])} words={said} />
      <div className="trade-best">
        <Choice
          label="Throws over"
          showLabel
          value={over}
          options={(Object.keys(OVER_TEXT) as ThrowsOver[]).map((value) => ({
            value,
            text: OVER_TEXT[value],
          }))}
          onChange={setOver}
        />
        <p role="status">{bestLeadWords(best)}</p>
        <How>
          <p>
            The pitcher throws over or pitches. A pickoff is an out, a wild throw is a base, and on
            a pitch the runner goes if it pays. Rarely is 1 time in 10, now and then 3, often 5, and
            more with every foot past 11. Those are our estimates, but they move the best lead only
            a little.
          </p>
        </How>
      </div>
    </section>
  );
}

type Shown = [points: ReturnType<typeof tradeOff>, lead: number, needs: number, unit: DistanceUnit];

/** @param shown what the curves are of, as text: a chart is drawn again only when that changes */
function TradeChart({ shown, words }: { shown: string; words: string }) {
  const option = useMemo(() => {
    const [data, lead, needs, unit] = JSON.parse(shown) as Shown;
    const [shortest, farthest] = [inUnit(SHORTEST_FEET), inUnit(LONGEST_FEET)];
    return (colour: (token: string) => string) => ({
      grid: { left: 46, right: 16, top: 30, bottom: 40 },
      xAxis: {
        type: 'value',
        min: shortest,
        max: farthest,
        name: `lead, ${unit}`,
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
        axisLabel: { color: colour('--ink-quiet'), formatter: '{value}%' },
        splitLine: { lineStyle: { color: colour('--line') } },
      },
      series: [
        line(
          'safe at second',
          colour('--pine-ink'),
          data.map((point) => [inUnit(point.leadFeet), point.safe * 100]),
        ),
        line(
          'out on a throw over',
          colour('--clay-ink'),
          data.map((point) => [inUnit(point.leadFeet), point.picked * 100]),
        ),
        dashed(colour('--ink-quiet'), [
          [inUnit(lead), 0],
          [inUnit(lead), 100],
        ]),
        dashed(colour('--pine-ink'), [
          [shortest, needs * 100],
          [farthest, needs * 100],
        ]),
      ],
    });
  }, [shown]);
  return <Chart height={230} option={option} words={words} />;
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
