import {
  CONES,
  type Bow,
  type BowRun,
  type Cone,
  type ConesLaid,
  type TurnLimits,
} from '@bradyon/core/bases';
import { useQuery } from '@tanstack/react-query';
import { FieldView, FieldWay, FieldMark, type Spot } from '../../ui/field/index.ts';
import {
  Choice,
  distance,
  Failure,
  hundredths,
  Loading,
  seconds,
  Sheet,
  Stepper,
} from '../../ui/index.ts';
import { useBasesDraft } from './basesStore.ts';
import { BasesPage } from './BasesPage.tsx';
import { inBasesWorker } from './heavy.ts';
import type { TurnsFound } from './bases.worker.ts';
import type { BasesInView } from './useBases.ts';
import { nameOf } from './words.ts';

/** How to go round a bag: the path, what it costs, and where the cones stand. */
export function TurnPage() {
  return <BasesPage title="Turns">{(view) => <Turns view={view} />}</BasesPage>;
}

/** A turn is the same at every bag; only where the runner starts differs. */
function startOf(
  view: BasesInView,
): Pick<Bow, 'baseFeet' | 'leadFeet' | 'depthFeet'> & { speed: number } {
  const { draft, team, figures } = view;
  const { baseDistanceFeet: baseFeet, sport } = team.ruleset;
  const share = baseFeet / (sport === 'softball' ? 60 : 90);
  return draft.turn === 'homeToSecond'
    ? { baseFeet, leadFeet: 0, depthFeet: 0, speed: 0 }
    : { baseFeet, leadFeet: figures.leadFeet * share, depthFeet: 0, speed: figures.leadSpeed };
}

function Turns({ view }: { view: BasesInView }) {
  const { draft, figures, odds, on, gaitOf } = view;
  const person = draft.turn === 'homeToSecond' ? odds.up?.person : on[2];
  const limits: TurnLimits = {
    ...gaitOf(person),
    sideGrip: figures.sideGrip,
    brake: figures.turnBrake,
  };
  const { speed, ...start } = startOf(view);
  const own = {
    outFeet: draft.outFeet,
    shortFeet: Math.min(draft.shortFeet, 0.6 * start.baseFeet),
  };
  const asked = { start, speed, limits, own };
  const key = JSON.stringify(asked);
  const { data, error, refetch, isPlaceholderData } = useQuery({
    queryKey: ['turns', key],
    queryFn: () => inBasesWorker((heavy) => heavy.turns(asked)),
    placeholderData: (before: TurnsFound | undefined) => before,
    staleTime: Number.POSITIVE_INFINITY,
    networkMode: 'always',
    structuralSharing: false,
    meta: { onlyHere: true },
  });
  if (error) return <Failure error={error} retry={() => void refetch()} />;
  if (!data) return <Loading what="the turns" />;
  return (
    <>
      <div className="control-row bases-ball no-print">
        <Choice
          label="Turn"
          value={draft.turn}
          options={[
            { value: 'homeToSecond', text: 'Home to second' },
            { value: 'secondToHome', text: 'Second to home' },
          ]}
          onChange={(turn) => {
            useBasesDraft.setState({ turn });
          }}
        />
        <Stepper
          label="Your swing"
          value={draft.outFeet}
          step={1}
          min={1}
          max={20}
          text={distance}
          note="outside the line"
          onChange={(outFeet) => {
            useBasesDraft.setState({ outFeet });
          }}
        />
        <Stepper
          label="Starts"
          value={draft.shortFeet}
          step={2}
          min={10}
          max={50}
          text={distance}
          note="short of the bag"
          onChange={(shortFeet) => {
            useBasesDraft.setState({ shortFeet });
          }}
        />
      </div>
      <div aria-busy={isPlaceholderData}>
        <TurnSheet view={view} found={data} own={own} name={nameOf(person, 'a typical runner')} />
      </div>
    </>
  );
}

function TurnSheet({
  view,
  found,
  own,
  name,
}: {
  view: BasesInView;
  found: TurnsFound;
  own: { outFeet: number; shortFeet: number };
  name: string;
}) {
  const { draft } = view;
  const rows = [
    { text: 'No turn at all', seconds: found.straight },
    {
      text: `Best: ${distance(found.best.bow.outFeet)} out, from ${distance(Math.round(found.best.bow.shortFeet))} short`,
      seconds: found.best.run.seconds,
    },
    {
      text: `Yours: ${distance(own.outFeet)} out, from ${distance(own.shortFeet)} short`,
      seconds: found.own.seconds,
    },
    { text: `Four feet outside`, seconds: found.four.run.seconds },
    { text: 'Straight and sharp', seconds: found.sharp },
  ];
  const lost = found.four.run.seconds - found.best.run.seconds;
  return (
    <Sheet title="Turns">
      {() => (
        <div className="turn-sheet">
          <h2>
            {draft.turn === 'homeToSecond' ? 'Home to second' : 'Second to home'}, {name}
          </h2>
          <TurnField view={view} found={found} />
          <table className="bases-table">
            <thead>
              <tr>
                <th scope="col">Path</th>
                <th scope="col">Time</th>
                <th scope="col">Lost to the best</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.text}>
                  <th scope="row">{row.text}</th>
                  <td className="figure">{seconds(row.seconds)}</td>
                  <td className="figure">
                    {row.seconds > found.best.run.seconds + 0.005
                      ? hundredths(row.seconds - found.best.run.seconds)
                      : '–'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            Cones, a foot inside the best path:{' '}
            {CONES.map((cone) => coneWords(found.cones, cone)).join('; ')}. Touch the inside corner
            of the bag, leaning in. Either foot.
          </p>
          <p>
            <strong>Four feet outside?</strong>{' '}
            {lost > 0.03
              ? `Costs ${seconds(lost)} against the best path here. Swing wider, sooner.`
              : 'As good as the best here.'}{' '}
            Ball to right: turn shorter, the throw is close. Ground ball: run straight through
            first.
          </p>
        </div>
      )}
    </Sheet>
  );
}

const CONE_TEXT: Record<Cone, string> = {
  swing: 'swing out',
  wide: 'widest',
  bend: 'into the bag',
  out: 'past the bag',
};

/** How far along the line to the bag, and outside it (below 0: inside, past the bag), to the half foot. */
function coneFeet({ places }: ConesLaid, cone: Cone): { along: number; out: number } {
  const { x, y } = places[cone].cone;
  return { along: Math.round(x * 2) / 2, out: Math.round(-y * 2) / 2 };
}

function coneWords(laid: ConesLaid, cone: Cone): string {
  const { along, out } = coneFeet(laid, cone);
  const side = out < 0 ? `${distance(-out)} toward the next base` : `${distance(out)} outside`;
  return `${CONE_TEXT[cone]}: ${distance(along)} along, ${side}`;
}

/** Paths are laid with the bag straight ahead and the next to the left: turned onto the field here. */
function onField(view: BasesInView): (at: { x: number; y: number }) => Spot {
  const half = Math.SQRT1_2;
  const { baseDistanceFeet } = view.team.ruleset;
  const second = { x: 0, y: 2 * half * baseDistanceFeet };
  return view.draft.turn === 'homeToSecond'
    ? ({ x, y }) => ({ x: (x - y) * half, y: (x + y) * half })
    : ({ x, y }) => ({ x: second.x - (x - y) * half, y: second.y - (x + y) * half });
}

function TurnField({ view, found }: { view: BasesInView; found: TurnsFound }) {
  const { team, draft } = view;
  const { baseDistanceFeet: baseFeet, pitchingDistanceFeet } = team.ruleset;
  const share = baseFeet / 90;
  const place = onField(view);
  const line = (run: BowRun): Spot[] => run.points.map(({ at }) => place(at));
  return (
    <FieldView
      view={{ left: -100 * share, top: 140 * share, width: 200 * share, height: 150 * share }}
      baseFeet={baseFeet}
      pitchingFeet={pitchingDistanceFeet}
      label={`The best path: ${distance(found.best.bow.outFeet)} outside the line.`}
    >
      <FieldWay spots={line(found.four.run)} tone="ball" />
      <FieldWay spots={line(found.best.run)} tone="runner" />
      {CONES.map((cone) => (
        <FieldMark
          key={cone}
          spot={place(found.cones.places[cone].cone)}
          tone="runner"
          text={CONE_TEXT[cone]}
          textSide={draft.turn === 'homeToSecond' ? 'right' : 'left'}
        />
      ))}
    </FieldView>
  );
}
