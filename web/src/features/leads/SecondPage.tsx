import { CUES, fromSecond, hipsOf, picksAtSecond, type OffSecond } from '@bradyon/core/leads';
import {
  againstPath,
  baseSpot,
  FieldMark,
  FieldTick,
  FieldView,
  halfFeet,
  offPath,
  type Spot,
} from '../../ui/field/index.ts';
import { Choice, distance, distanceDown, giveOrTake, seconds } from '../../ui/index.ts';
import { firstName } from '../people/index.ts';
import { LeadPage, LeadWhatIf } from './LeadPage.tsx';
import { useLeadDraft, type LeadDraft } from './leadStore.ts';
import { spreadOfEstimate, type Leads, type Out } from './useLeads.ts';
import { inThrows, PICK_TEXT, restsWords } from './words.ts';

const CUE_TEXT = { coach: 'Coach calls the break', turn: 'Runner sees the turn' } as const;
/** With two outs: a few steps deeper, for the turn home. Judgement. */
const DEEP_FEET = 6;
const VIEW = { left: -40, top: 136, width: 72, height: 46 };

/** From how far off second: what daylight, a count or an inside turn does to the runner. */
export function SecondPage() {
  return (
    <LeadPage base="second" controls={<SecondControls />}>
      {(leads, out) => <Second leads={leads} out={out} />}
    </LeadPage>
  );
}

function SecondControls() {
  const { cue, twoOuts } = useLeadDraft();
  return (
    <>
      <Choice
        label="Who sends them back"
        value={cue}
        options={CUES.map((value) => ({ value, text: CUE_TEXT[value] }))}
        onChange={(value) => {
          useLeadDraft.setState({ cue: value });
        }}
      />
      <Choice
        label="Outs"
        value={twoOuts ? 'two' : 'fewer'}
        options={[
          { value: 'fewer', text: 'Fewer than two outs' },
          { value: 'two', text: 'Two outs' },
        ]}
        onChange={(outs) => {
          useLeadDraft.setState({ twoOuts: outs === 'two' });
        }}
      />
    </>
  );
}

type Who = 'second' | 'shortstop' | 'secondBaseman';
const off = ({ along, behind }: LeadDraft[Who]): OffSecond => ({
  alongFeet: along,
  behindFeet: behind,
});

function Second({ leads, out }: { leads: Leads; out: Out }) {
  const { runner, pitcher } = out;
  const draft = useLeadDraft();
  const { team, times } = leads;
  const baseFeet = team.ruleset.baseDistanceFeet;
  const spin = leads.moveOf(pitcher, 'second');
  if (!spin) return <p>No pickoffs at this level, so nobody leads off.</p>;
  const own = leads.returnOf(runner);
  const runnerAt: OffSecond = {
    alongFeet: draft.second.along,
    behindFeet: draft.twoOuts ? DEEP_FEET : 0,
  };
  const picks = picksAtSecond(
    {
      level: times.field.level,
      runner: runnerAt,
      shortstop: off(draft.shortstop),
      secondBasemanFeet: fromSecond(off(draft.secondBaseman)),
      cue: draft.cue,
      spin: spreadOfEstimate(spin),
      own,
    },
    draft.risk,
  );
  const longest = Math.min(...picks.map(({ longestFeet }) => longestFeet));
  const bag = baseSpot('second', baseFeet);
  const path = { from: bag, to: baseSpot('third', baseFeet) };
  const toFirst = { from: bag, to: baseSpot('first', baseFeet) };
  // Running from second to third the outfield is on the right.
  const spotOf = ({ alongFeet, behindFeet }: OffSecond) =>
    offPath(path, { along: alongFeet, left: -behindFeet });
  const move = (who: Who, along: number, behind: number): void => {
    const bounds = who === 'second' ? ([5, 30, 0, 0] as const) : ([0, 45, -10, 45] as const);
    useLeadDraft.setState({
      [who]: {
        along: halfFeet(along, bounds[0], bounds[1]),
        behind: halfFeet(behind, bounds[2], bounds[3]),
      },
    });
  };
  const draggable = (who: Who, name: string) => {
    const { along, behind } = draft[who];
    return {
      label: name,
      value: along,
      words: `${distance(along)} along, ${distance(behind)} behind the line`,
      onMove: (spot: Spot) => {
        // The second baseman is on the other side of the bag, where the outfield is on the left.
        const at = againstPath(who === 'secondBaseman' ? toFirst : path, spot);
        move(who, at.along, who === 'secondBaseman' ? at.left : -at.left);
      },
      onStep: (outward: number, sideways: number) => {
        move(who, along + outward, behind + sideways);
      },
    };
  };
  const hips = hipsOf(runnerAt, off(draft.shortstop));
  return (
    <>
      <div className="lead-two">
        <section className="card-box">
          <FieldView
            view={VIEW}
            baseFeet={baseFeet}
            pitchingFeet={team.ruleset.pitchingDistanceFeet}
            label={`Second base. ${runner.name} is ${distance(draft.second.along)} off, the shortstop ${hips}.`}
          >
            <FieldTick
              spot={offPath(path, { along: longest, left: 0 })}
              along={offPath(path, { along: longest + 1, left: 0 })}
              text={`safe to ${distanceDown(longest)}`}
              tone="good"
            />
            <FieldMark
              spot={offPath(toFirst, {
                along: draft.secondBaseman.along,
                left: draft.secondBaseman.behind,
              })}
              tone="fielder"
              text="2B"
              drag={draggable('secondBaseman', 'Second baseman')}
            />
            <FieldMark
              spot={spotOf(off(draft.shortstop))}
              tone="fielder"
              text={`SS, ${hips}`}
              drag={draggable('shortstop', 'Shortstop')}
            />
            <FieldMark
              spot={spotOf(runnerAt)}
              tone="runner"
              text={`${firstName(runner)} ${distance(draft.second.along)}`}
              drag={draggable('second', `${runner.name}, lead`)}
            />
          </FieldView>
          <p className="quiet lead-hint">
            Drag the runner and the infielders.{' '}
            {draft.twoOuts
              ? 'Two outs: a few steps deeper, for the turn home.'
              : 'Fewer than two outs: straight line to third.'}
          </p>
        </section>
        <section className="card-box lead-answer">
          <p className="lead-first">
            <strong className="figure">{distanceDown(longest)}</strong> longest safe lead
          </p>
          <p role="status">
            The shortstop&rsquo;s hips are {hips}. Only the player with the ball can make the pick:{' '}
            {draft.cue === 'coach'
              ? 'the runner watches the pitcher and the coaches call the shortstop.'
              : `without a call, give up about ${distance(2)}.`}
          </p>
          <table className="lead-table">
            <thead>
              <tr>
                <th scope="col">If they try</th>
                <th scope="col">the runner is</th>
                <th scope="col">safe to</th>
              </tr>
            </thead>
            <tbody>
              {picks.map(({ pick, chance, longestFeet }) => (
                <tr key={pick} className={chance > draft.risk ? 'lead-over' : undefined}>
                  <th scope="row">{PICK_TEXT[pick]}</th>
                  <td>{inThrows(chance)}</td>
                  <td className="figure">{distanceDown(longestFeet)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="quiet">
            Spin to second {seconds(spin.meanSeconds)}, {giveOrTake(spin.giveOrTakeSeconds)}{' '}
            {restsWords(spin)}. A creeping runner makes the pick possible. Stop before the pitcher
            comes set.
          </p>
          <LeadWhatIf leads={leads} out={out} base="second" />
        </section>
      </div>
    </>
  );
}
