import { EAR_PLANS, lateBySeconds, type EarPlan } from '@bradyon/core/ear';
import type { Place } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { FieldMark, FieldView, placeOf, spotOf, type Spot } from '../../ui/field/index.ts';
import { distance, giveOrTake, How, PickOne, Stepper } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { KIND_WORDS } from '../timing/index.ts';
import { standAt, STANDS, useDeviceDelay, useStanding, type StandName } from './standing.ts';
import { doubtOf, type EarInHand, type Listening } from './useEar.ts';
import { celsius, fahrenheit, wayText } from './words.ts';

const STAND_NAMES = Object.keys(STANDS) as StandName[];
/** How much of the field is shown around the infield, as shares of the base distance. */
const VIEW = { aside: 1.2, up: 1.6, down: 0.65 };

/** Where the device hears from: the sound's way to it is taken out. */
export function Standing({ hand, listening }: { hand: EarInHand; listening: Listening }) {
  const team = useTeam();
  const { baseDistanceFeet: baseFeet, pitchingDistanceFeet } = team.ruleset;
  const { place } = listening.stand;
  const spot = spotOf(place);
  const standing = useStanding();
  const stand = (to: Place): void => {
    const within = (feet: number): number => Math.round(Math.min(500, Math.max(-200, feet)));
    useStanding.setState(({ byTeam }) => ({
      byTeam: { ...byTeam, [team.id]: { x: within(to.x), y: within(to.y) } },
    }));
  };
  const moveTo = (to: Spot): void => {
    stand(placeOf(to));
  };
  const name = STAND_NAMES.find((each) => {
    const at = standAt(each, baseFeet);
    return Math.hypot(at.x - place.x, at.y - place.y) < 1;
  });
  const fromHome = distance(Math.hypot(place.x, place.y));
  return (
    <section className="card-box ear-standing">
      <h2>Where you stand</h2>
      <PickOne
        label="Place"
        value={name ?? ''}
        options={[
          ...(name ? [] : [{ value: '', text: `As marked, ${fromHome} from home` }]),
          ...STAND_NAMES.map((value) => ({ value, text: STANDS[value].text })),
        ]}
        onChange={(value) => {
          if (value) stand(standAt(value as StandName, baseFeet));
        }}
      />
      <FieldView
        view={{
          left: -VIEW.aside * baseFeet,
          top: VIEW.up * baseFeet,
          width: 2 * VIEW.aside * baseFeet,
          height: (VIEW.up + VIEW.down) * baseFeet,
        }}
        baseFeet={baseFeet}
        pitchingFeet={pitchingDistanceFeet}
        label={`The field. You stand ${fromHome} from home.`}
        onTap={moveTo}
      >
        <FieldMark
          spot={spot}
          tone="runner"
          text="you"
          drag={{
            label: 'Where you stand',
            value: Math.round(Math.hypot(place.x, place.y)),
            words: `${fromHome} from home`,
            onMove: moveTo,
            onStep: (out, sideways) => {
              moveTo({ x: spot.x + 10 * out, y: spot.y + 10 * sideways });
            },
          }}
        />
      </FieldView>
      <Way listening={listening} />
      <Stepper
        label="Air"
        value={fahrenheit(standing.celsius)}
        step={5}
        min={20}
        max={120}
        text={(degrees) => `${String(degrees)} °F`}
        onChange={(degrees) => {
          useStanding.setState({ celsius: celsius(degrees) });
        }}
      />
      <Delay hand={hand} />
      <How>
        <p>
          Sound takes .009 s for every 10 ft. A mitt that is 30 ft away is heard .03 s late, a glove
          at second .14 s. Both are taken off, so that a pop is the same from wherever you stand.
          Set the marker within a few steps: 10 ft wrong is up to .01 s.
        </p>
        <p>
          A sound counts when it stands well over the noise and over what came just before. What is
          heard beyond doubt is saved. Two sounds that fit, or one that barely stands out, are asked
          about. It was tried on sound made for that, not in your park: check a few against your
          watch.
        </p>
      </How>
    </section>
  );
}

/** What standing here does to the times, and how well they are known. */
function Way({ listening }: { listening: Listening }) {
  const { planName, sources, stand } = listening;
  const plan: EarPlan = EAR_PLANS[planName];
  const measured = useDeviceDelay(({ roundTripSeconds }) => roundTripSeconds !== null);
  return (
    <ul className="ear-way">
      {plan.kinds.map((kind, nth) => {
        const [from, to] = [sources[nth], sources[nth + 1]];
        const byEar = plan.marks[nth]?.by === 'ear' && plan.marks[nth + 1]?.by === 'ear';
        const doubt = doubtOf(listening, nth, measured ? 'measured' : 'typical');
        return (
          <li key={kind}>
            <strong>{KIND_WORDS[kind].name}</strong>{' '}
            {byEar && from && to
              ? `${wayText(lateBySeconds(to, stand) - lateBySeconds(from, stand))}, ${giveOrTake(doubt)}.`
              : `The sound’s way is taken off. Your thumb’s share stays, the ear’s is ${giveOrTake(doubt)}.`}
          </li>
        );
      })}
    </ul>
  );
}

/** How late the device hears: it counts where a thumb begins or ends the time. */
function Delay({ hand }: { hand: EarInHand }) {
  const roundTripSeconds = useDeviceDelay((state) => state.roundTripSeconds);
  const [words, setWords] = useState<string | null>(null);
  const [isMeasuring, setMeasuring] = useState(false);
  const measure = async (): Promise<void> => {
    setMeasuring(true);
    setWords('Six clicks. Keep it quiet for four seconds.');
    const measured = await hand.measureDelay();
    setMeasuring(false);
    if (measured === null) {
      setWords('The clicks were not heard. Turn the sound up, take headphones off, and try again.');
      return;
    }
    useDeviceDelay.setState({ roundTripSeconds: measured });
    setWords(null);
  };
  return (
    <div className="ear-delay">
      <p>
        <strong>This device’s own delay</strong>{' '}
        <span className="quiet">
          {roundTripSeconds === null
            ? 'Not calibrated. A usual one is assumed. It only matters for times that you tap at one end.'
            : `${String(Math.round(roundTripSeconds * 1000))}\u00a0ms from speaker to ear, taken off.`}
        </span>
      </p>
      <Button
        variant="outline-primary"
        disabled={hand.phase.is !== 'listening' || isMeasuring}
        onClick={() => {
          void measure();
        }}
      >
        {isMeasuring ? 'Listening to its clicks' : 'Calibrate'}
      </Button>
      <p role="status">
        {words ?? (hand.phase.is === 'listening' ? '' : 'Start listening first.')}
      </p>
    </div>
  );
}
