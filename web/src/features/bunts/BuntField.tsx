import {
  fieldersOf,
  groundOf,
  rollFeet,
  type BuntFielder,
  type BuntPlan,
  type BuntQuestion,
} from '@bradyon/core/bunts';
import { useMemo } from 'react';
import {
  baseSpot,
  FieldFan,
  FieldMark,
  FieldView,
  placeOf,
  spotOf,
  type FanCell,
  type Spot,
} from '../../ui/field/index.ts';
import { distance } from '../../ui/index.ts';
import { useBuntDraft } from './buntStore.ts';
import type { BuntInView } from './useBunt.ts';
import { FIELDER_TEXT, rollText, sideText } from './words.ts';

const BASES = ['first', 'second', 'third'] as const;
const MOVABLE: readonly BuntFielder[] = ['1B', '3B', '2B', 'SS'];

/** The defense to scale, each to be dragged, and what a bunt is worth where it stops. */
export function BuntField({ view, plan }: { view: BuntInView; plan: BuntPlan | null }) {
  const { question, team, on } = view;
  const { ruleset } = team;
  const baseFeet = ruleset.baseDistanceFeet;
  const share = baseFeet / 90;
  const fielders = fieldersOf(
    question.alignment,
    { onFirst: (question.bases & 1) !== 0, onSecond: (question.bases & 2) !== 0 },
    ruleset,
    question.pitcherThrows,
    question.figures,
  );
  const cells = useMemo(() => (plan ? fanOf(plan, question) : []), [plan, question]);
  const move = (position: BuntFielder, spot: Spot): void => {
    const { x, y } = placeOf(spot);
    const within = (feet: number): number =>
      Math.round(Math.min(1.6 * baseFeet, Math.max(0, feet)) * 2) / 2;
    const place = { x: within(x), y: within(y) };
    useBuntDraft.setState(({ moved }) => ({ moved: { ...moved, [position]: place } }));
  };
  const best = plan?.best;
  return (
    <FieldView
      view={{ left: -95 * share, top: 122 * share, width: 190 * share, height: 128 * share }}
      baseFeet={baseFeet}
      pitchingFeet={ruleset.pitchingDistanceFeet}
      label={
        best
          ? `The infield. Best bunt: ${sideText(best.degrees).toLowerCase()}, ${rollText(best.rollFeet)}.`
          : 'The infield'
      }
    >
      {plan && <FieldFan cells={cells} columns={plan.grid.directions} />}
      {fielders.map(({ position, at }) => {
        const spot = spotOf(at);
        const drag = MOVABLE.includes(position) && {
          label: FIELDER_TEXT[position],
          value: Math.round(Math.hypot(at.x, at.y)),
          words: `${distance(Math.hypot(at.x, at.y))} from home`,
          onMove: (to: Spot) => {
            move(position, to);
          },
          onStep: (outward: number, sideways: number) => {
            move(position, { x: spot.x + outward, y: spot.y + sideways });
          },
        };
        return (
          <FieldMark
            key={position}
            spot={spot}
            tone="fielder"
            text={position}
            textSide={spot.x > 30 * share ? 'left' : 'right'}
            {...(drag && { drag })}
          />
        );
      })}
      {BASES.map((base, index) => {
        const from = (index + 1) as 1 | 2 | 3;
        if ((question.bases & (1 << index)) === 0) return null;
        const at = baseSpot(base, baseFeet);
        return (
          <FieldMark
            key={base}
            spot={{ x: at.x + (base === 'third' ? -3 : 3) * share, y: at.y - 6 * share }}
            tone="runner"
            text={on[from]?.name.split(' ').at(-1) ?? 'runner'}
            textSide={base === 'third' ? 'left' : 'right'}
          />
        );
      })}
    </FieldView>
  );
}

/** Shades by how far an aim is behind the best, as a share of the worst; beyond them the clayest. */
const BEHIND = [
  [0.2, 2],
  [0.4, 1],
  [0.6, 0],
  [0.8, -1],
  [0.95, -2],
] as const;

function fanOf(plan: BuntPlan, { surface, figures }: BuntQuestion): FanCell[] {
  const { grid, aims, best } = plan;
  const ground = groundOf(surface, figures);
  const width = 90 / grid.directions;
  const step = Math.log(grid.hardest / grid.slowest) / grid.paces;
  const good = new Set(plan.asGood);
  const worst = best.value - Math.min(...aims.map(({ value }) => value));
  return aims.map(({ degrees, speed, value }, index) => {
    const behind = worst > 0 ? (best.value - value) / worst : 0;
    return {
      fromDegrees: degrees - width / 2,
      toDegrees: degrees + width / 2,
      fromFeet: rollFeet(speed * Math.exp(-step / 2), ground),
      toFeet: rollFeet(speed * Math.exp(step / 2), ground),
      shade: good.has(index) ? 3 : (BEHIND.find(([within]) => behind <= within)?.[1] ?? -3),
      outlined: good.has(index),
    };
  });
}
