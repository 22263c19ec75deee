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
import { Choice, feet, giveOrTake, seconds, timesCount } from '../../ui/index.ts';
import { LeadCare, LeadPage, type Out } from './LeadPage.tsx';
import { useLeadDraft, type LeadDraft } from './leadStore.ts';
import { spreadOfEstimate, type Leads } from './useLeads.ts';
import { inThrows, PICK_TEXT, safeFeet } from './words.ts';

const CUE_TEXT = { coach: 'Coach calls the break', turn: 'Runner sees the turn' } as const;
/** With two outs: a few steps deeper, for the turn home. Judgement. */
const DEEP_FEET = 6;
const VIEW = { left: -40, top: 136, width: 72, height: 46 };

/** From how far off second: what daylight, a count or an inside turn does to him. */
export function SecondPage() {
  return (
    <LeadPage title="Leads off second">
      {(leads, out) => <Second leads={leads} out={out} />}
    </LeadPage>
  );
}

type Who = 'second' | 'shortstop' | 'secondBaseman';
const off = ({ along, behind }: LeadDraft[Who]): OffSecond => ({
  alongFeet: along,
  behindFeet: behind,
});

function Second({ leads, out: { runner, pitcher } }: { leads: Leads; out: Out }) {
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
      words: `${feet(along)} along, ${feet(behind)} behind the line`,
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
      <div className="lead-choices">
        <Choice
          label="Who sends them back"
          value={draft.cue}
          options={CUES.map((value) => ({ value, text: CUE_TEXT[value] }))}
          onChange={(cue) => {
            useLeadDraft.setState({ cue });
          }}
        />
        <Choice
          label="Outs"
          value={draft.twoOuts ? 'two' : 'fewer'}
          options={[
            { value: 'fewer', text: 'Fewer than two outs' },
            { value: 'two', text: 'Two outs' },
          ]}
          onChange={(outs) => {
            useLeadDraft.setState({ twoOuts: outs === 'two' });
          }}
        />
      </div>
      <div className="lead-two">
        <section className="card-box">
          <FieldView
            view={VIEW}
            baseFeet={baseFeet}
            pitchingFeet={team.ruleset.pitchingDistanceFeet}
            label={`Second base. ${runner.name} is ${feet(draft.second.along)} off, the shortstop ${hips}.`}
          >
            <FieldTick
              spot={offPath(path, { along: longest, left: 0 })}
              along={offPath(path, { along: longest + 1, left: 0 })}
              text={`safe to ${safeFeet(longest)}`}
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
              text={`${runner.name.split(' ')[0] ?? ''} ${feet(draft.second.along)}`}
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
            <strong className="figure">{safeFeet(longest)}</strong> longest safe lead
          </p>
          <p role="status">
            The shortstop&rsquo;s hips are {hips}. Only the player with the ball can make the pick:{' '}
            {draft.cue === 'coach'
              ? 'the runner watches the pitcher and the coaches call the shortstop.'
              : 'without a call, give up about two feet.'}
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
                  <td className="figure">{safeFeet(longestFeet)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="quiet">
            Spin to second {seconds(spin.meanSeconds)}, {giveOrTake(spin.giveOrTakeSeconds)}{' '}
            {spin.count > 0 ? `(${timesCount(spin.count)})` : '(typical for the level, not timed)'}.
            A creeping runner makes the pick possible. Stop before the pitcher comes set.
          </p>
        </section>
      </div>
      <LeadCare headFirst={team.ruleset.headFirstAllowed} />
    </>
  );
}
