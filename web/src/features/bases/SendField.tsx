import {
  bagsOf,
  OUTFIELD,
  outfielderFor,
  type Outfielder,
  type Send,
  type SendPlan,
} from '@bradyon/core/bases';
import type { Base } from '@bradyon/core/units';
import {
  baseSpot,
  FieldMark,
  FieldTick,
  FieldView,
  FieldWay,
  offPath,
  placeOf,
  spotOf,
  type Spot,
} from '../../ui/field/index.ts';
import { distance } from '../../ui/index.ts';
import { useBasesDraft } from './basesStore.ts';
import type { BasesInView } from './useBases.ts';
import { pastText } from './words.ts';

const BASE_OF: Record<1 | 2 | 3 | 4, Base> = { 1: 'first', 2: 'second', 3: 'third', 4: 'home' };

/** The ball out to the outfielder and back, the runner's way, and where he can still be stopped. */
export function SendField({
  view,
  plan,
  send,
  name,
}: {
  view: BasesInView;
  plan: SendPlan;
  send: Send;
  name: string;
}) {
  const { team, draft, figures } = view;
  const { baseDistanceFeet: baseFeet, pitchingDistanceFeet } = team.ruleset;
  const deep = figures.outfieldDepth * 1.22;
  const { turned, target } = bagsOf(send);
  const bag = baseSpot(BASE_OF[turned], baseFeet);
  const next = baseSpot(BASE_OF[target], baseFeet);
  const from = baseSpot(BASE_OF[turned === 1 ? 4 : ((turned - 1) as 1 | 2)], baseFeet);
  const way = [from, bag, next];
  const stop = plan.stops.alert;
  const stopAt =
    stop &&
    (stop.feet >= 0
      ? offPath({ from: bag, to: next }, { along: stop.feet, left: 0 })
      : offPath({ from: bag, to: from }, { along: -stop.feet, left: 0 }));
  const stopAlong =
    stop &&
    (stop.feet >= 0
      ? offPath({ from: bag, to: next }, { along: stop.feet + 1, left: 0 })
      : offPath({ from: bag, to: from }, { along: -stop.feet - 1, left: 0 }));
  const ballAt = spotOf(plan.play.at);
  const cutoff = plan.play.cutoffAt && spotOf(plan.play.cutoffAt);
  const move = (position: Outfielder, spot: Spot): void => {
    const place = placeOf(spot);
    const within = (feet: number): number => Math.min(1.3 * deep, Math.max(0, Math.round(feet)));
    useBasesDraft.setState(({ moved }) => ({
      moved: { ...moved, [position]: { x: within(place.x), y: within(place.y) } },
    }));
  };
  return (
    <FieldView
      view={{ left: -deep * 0.78, top: deep, width: deep * 1.56, height: deep + 22 }}
      baseFeet={baseFeet}
      pitchingFeet={pitchingDistanceFeet}
      label={`The field. The ball is fielded ${distance(Math.hypot(ballAt.x, ballAt.y))} from home.${stop ? ` Last stop ${pastText(stop.feet, turned)}.` : ''}`}
      onTap={(spot) => {
        const { x, y } = placeOf(spot);
        const degrees = (Math.atan2(y, x) * 180) / Math.PI;
        useBasesDraft.setState({ degrees: Math.min(88, Math.max(2, Math.round(degrees))) });
      }}
    >
      <FieldWay spots={[baseSpot('home', baseFeet), ballAt]} tone="ball" />
      <FieldWay spots={[ballAt, ...(cutoff ? [cutoff] : []), next]} tone="ball" />
      <FieldWay spots={way} tone="runner" />
      {stop && stopAt && stopAlong && (
        <FieldTick spot={stopAt} along={stopAlong} text="last stop" tone="good" side="right" />
      )}
      {cutoff && <FieldMark spot={cutoff} tone="fielder" text="cutoff" />}
      {OUTFIELD.map((position) => {
        const spot = spotOf(view.spotOf(position));
        const isHis = outfielderFor(draft.degrees) === position;
        return (
          <FieldMark
            key={position}
            spot={spot}
            tone="fielder"
            text={isHis ? `${position}, ${String(Math.round(plan.play.armMph))} mph` : position}
            textSide={position === 'RF' ? 'left' : 'right'}
            drag={{
              label: position,
              value: Math.round(Math.hypot(spot.x, spot.y)),
              words: `${distance(Math.hypot(spot.x, spot.y))} from home`,
              onMove: (to) => {
                move(position, to);
              },
              onStep: (outward, sideways) => {
                move(position, { x: spot.x + 4 * outward, y: spot.y + 4 * sideways });
              },
            }}
          />
        );
      })}
      <FieldMark
        spot={{ x: from.x - 6, y: from.y - 8 }}
        tone="runner"
        text={name}
        textSide="left"
      />
    </FieldView>
  );
}
