import {
  BUNT_LANES,
  BUNT_PACES,
  BUNT_STYLES,
  PITCH_HEIGHTS,
  skillOf,
  triesBy,
  type BuntLane,
  type BuntPace,
  type BuntResult,
  type BuntStyle,
  type BuntTry,
  type OwnBunting,
  type PitchHeight,
} from '@bradyon/core/bunts';
import { buntStands, type CountedTask, type TaskStand } from '@bradyon/core/drills';
import { byNumber, type Person } from '@bradyon/core/people';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Choice, Empty, Failure, percent, PickOne, TapButton } from '../../ui/index.ts';
import { personLabel, usePeople } from '../people/index.ts';
import { BuntPage } from './BuntPage.tsx';
import { useBunters } from './useBunters.ts';
import type { BuntInView } from './useBunt.ts';
import { COUNTED_LANE_TEXT, PACE_TEXT, RESULT_TEXT, STYLE_TEXT, TASK_TEXT } from './words.ts';

const HEIGHT_TEXT: Record<PitchHeight, string> = { high: 'High', middle: 'Middle', low: 'Low' };
const OFF = ['foul', 'missed', 'popped', 'pulledBack'] as const satisfies readonly BuntResult[];

/** A tap a bunt: who can put it where, and how that changes the plan. */
export function RecordPage() {
  return (
    <BuntPage title="Bunters" plays={false} situation={false}>
      {(view) => <Bunters view={view} />}
    </BuntPage>
  );
}

function Bunters({ view }: { view: BuntInView }) {
  const { people } = usePeople(view.team.id);
  const bunters = useBunters(view.team.id);
  const ours = people
    .filter(({ opponentId, retired }) => opponentId === null && !retired)
    .toSorted(byNumber);
  const [chosen, setChosen] = useState<string | null>(null);
  const [now] = useState(() => new Date());
  const person = ours.find(({ id }) => id === chosen) ?? ours[0];
  if (bunters.error) return <Failure error={bunters.error} retry={bunters.retry} />;
  if (!person) {
    return (
      <Empty title="Nobody to bunt yet">
        <p>Add your players under Team.</p>
      </Empty>
    );
  }
  const level = skillOf(view.figures, 'sacrifice');
  const { sport } = view.team.ruleset;
  const standsOf = (each: Person): TaskStand[] =>
    buntStands(
      bunters.practice.filter(({ personId }) => personId === each.id),
      sport,
      level,
      now,
    );
  return (
    <div className="bunt-two">
      <section className="card-box">
        <PickOne
          label="Bunting"
          value={person.id}
          options={ours.map((each) => ({ value: each.id, text: personLabel(each) }))}
          onChange={setChosen}
        />
        <Counter key={person.id} person={person} bunters={bunters} next={standsOf(person)[0]} />
      </section>
      <section className="card-box">
        <h2>The team</h2>
        <table className="bunt-table">
          <thead>
            <tr>
              <th scope="col">Bunter</th>
              <th scope="col">Tries</th>
              <th scope="col">Fair</th>
              <th scope="col">Own weight</th>
              <th scope="col">Leans</th>
              <th scope="col">Next</th>
            </tr>
          </thead>
          <tbody>
            {ours.map((each) => {
              const own = bunters.skill(each.id, level);
              return (
                <tr key={each.id} className={each.id === person.id ? 'bunt-best' : undefined}>
                  <th scope="row">{personLabel(each)}</th>
                  <td className="figure">{own.tries}</td>
                  <td className="figure">{own.tries > 0 ? percent(own.fair / own.tries) : '–'}</td>
                  <td className="figure">
                    {percent(Math.max(own.ownShares, own.ownAim, own.ownPace))}
                  </td>
                  <td>{leanText(own)}</td>
                  <td>{nextText(standsOf(each)[0])}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <p className="quiet bunt-legend">
          Own weight: how much of the plan is this bunter, and not a typical one. Bunts in games
          count by themselves. Import and export under Team, Files.
        </p>
      </section>
    </div>
  );
}

/** A lean that is more than chance would give. */
function leanText({ leanDegrees, ownAim }: OwnBunting): string {
  if (ownAim < 0.2 || Math.abs(leanDegrees) < 4) return '–';
  return leanDegrees > 0 ? 'toward third' : 'toward first';
}

/** What a task is called by the counter. */
const CALLED: Record<CountedTask, readonly [BuntLane, BuntPace]> = {
  firstSide: ['first', 'soft'],
  thirdFirm: ['third', 'firm'],
  thirdSoft: ['third', 'soft'],
  deadMiddle: ['middle', 'dead'],
};

function nextText(next: TaskStand | undefined): string {
  return next && next.need > 0.005 ? TASK_TEXT[next.task] : '–';
}

/** What to bunt next, and how far it is from six in ten. */
function NextTask({
  next,
  onCall,
}: {
  next: TaskStand;
  onCall: (lane: BuntLane, pace: BuntPace) => void;
}) {
  return (
    <p className="bunt-next">
      <span>
        Practice next: <strong>{TASK_TEXT[next.task].toLowerCase()}</strong>,{' '}
        {next.tries === 0
          ? 'not tried yet.'
          : `${String(next.down)} of ${String(next.tries)} down.`}{' '}
        {next.ofNextTen !== null && next.ofNextTen > 0 && (
          <>{next.ofNextTen} of the next ten make 60% down sure.</>
        )}
      </span>
      <Button
        variant="outline-primary"
        onClick={() => {
          onCall(...CALLED[next.task]);
        }}
      >
        Call it
      </Button>
    </p>
  );
}

function Counter({
  person,
  bunters,
  next,
}: {
  person: Person;
  bunters: ReturnType<typeof useBunters>;
  next: TaskStand | undefined;
}) {
  const [aimed, setAimed] = useState<BuntLane>('third');
  const [calledPace, setCalledPace] = useState<BuntPace>('soft');
  const [style, setStyle] = useState<BuntStyle>('square');
  const [height, setHeight] = useState<PitchHeight>('middle');
  const own = bunters.practice.filter(({ personId }) => personId === person.id);
  const last = own.at(-1);
  const tap = (result: BuntResult, lane: BuntLane | null, pace: BuntPace | null): void => {
    bunters.add(person.id, { result, aimed, lane, calledPace, pace, height, style });
  };
  return (
    <div className="bunt-counter">
      {next && next.need > 0.005 && (
        <NextTask
          next={next}
          onCall={(lane, pace) => {
            setAimed(lane);
            setCalledPace(pace);
          }}
        />
      )}
      <div className="control-row">
        <Choice
          label="Called"
          showLabel
          value={aimed}
          options={BUNT_LANES.map((value) => ({ value, text: COUNTED_LANE_TEXT[value] }))}
          onChange={setAimed}
        />
        <Choice
          label="Called pace"
          value={calledPace}
          options={BUNT_PACES.map((value) => ({ value, text: PACE_TEXT[value] }))}
          onChange={setCalledPace}
        />
      </div>
      <h2>Where did it go?</h2>
      <WhereItWent
        onTap={(lane, pace) => {
          tap('fair', lane, pace);
        }}
      />
      <div className="tap-grid">
        {OFF.map((result) => (
          <TapButton
            key={result}
            className="tap-quiet"
            onTap={() => {
              tap(result, null, null);
            }}
          >
            {RESULT_TEXT[result]}
          </TapButton>
        ))}
      </div>
      <p role="status">
        {last ? `Last: ${lastText(last)}. ${String(own.length)} counted.` : 'One tap a bunt.'}
      </p>
      {last && (
        <Button
          variant="outline-primary"
          onClick={() => {
            bunters.undo(last);
          }}
        >
          Undo the last one
        </Button>
      )}
      <ByWay tries={bunters.of(person.id)} />
      <div className="control-row">
        <Choice
          label="Pitch"
          value={height}
          options={PITCH_HEIGHTS.map((value) => ({ value, text: HEIGHT_TEXT[value] }))}
          onChange={setHeight}
        />
        <PickOne
          label="Style"
          value={style}
          options={BUNT_STYLES.map((value) => ({ value, text: STYLE_TEXT[value] }))}
          onChange={(value) => {
            setStyle(value as BuntStyle);
          }}
        />
      </div>
    </div>
  );
}

/** "fair, third line, soft" */
function lastText({ result, lane, pace }: BuntTry): string {
  return [RESULT_TEXT[result], lane && COUNTED_LANE_TEXT[lane], pace && PACE_TEXT[pace]]
    .filter((word) => word !== null)
    .join(', ')
    .toLowerCase();
}

/** The infield as buttons, seen from the plate: firm bunts far out, dead ones near. One tap says lane and pace. */
function WhereItWent({ onTap }: { onTap: (lane: BuntLane, pace: BuntPace) => void }) {
  return (
    <div className="bunt-where">
      {BUNT_LANES.map((lane) => (
        <span key={lane} className="quiet" aria-hidden="true">
          {COUNTED_LANE_TEXT[lane]}
        </span>
      ))}
      {BUNT_PACES.toReversed().flatMap((pace) =>
        BUNT_LANES.map((lane) => (
          <TapButton
            key={`${lane} ${pace}`}
            aria-label={`${COUNTED_LANE_TEXT[lane]}, ${PACE_TEXT[pace].toLowerCase()}`}
            onTap={() => {
              onTap(lane, pace);
            }}
          >
            {PACE_TEXT[pace]}
          </TapButton>
        )),
      )}
    </div>
  );
}

/** Pivot or square, high or low: fair of tried, once there are two ways to set side by side. */
function ByWay({ tries }: { tries: readonly BuntTry[] }) {
  const lines = [
    triesBy(tries, BUNT_STYLES, ({ style }) => style).map((each) => ({
      ...each,
      text: STYLE_TEXT[each.word],
    })),
    triesBy(tries, PITCH_HEIGHTS, ({ height }) => height).map((each) => ({
      ...each,
      text: `${HEIGHT_TEXT[each.word]} pitch`,
    })),
  ].filter((line) => line.length > 1);
  return lines.map((line) => (
    <p key={line[0]?.text} className="quiet">
      Fair:{' '}
      {line
        .map(
          ({ text, fair, tries: of }) => `${text.toLowerCase()} ${String(fair)} of ${String(of)}`,
        )
        .join(', ')}
      .
    </p>
  ));
}
