import {
  chancePicked,
  coverOfThird,
  longestLead,
  walkOffThird,
  type Throw,
  type Walk,
} from '@bradyon/core/leads';
import {
  againstPath,
  baseSpot,
  FieldFoot,
  FieldMark,
  FieldTick,
  FieldView,
  FieldWay,
  halfFeet,
  offPath,
} from '../../ui/field/index.ts';
import { Choice, distance, distanceDown, seconds } from '../../ui/index.ts';
import { firstName } from '../people/index.ts';
import { LeadPage, LeadWhatIf } from './LeadPage.tsx';
import { THIRD_SCHOOLS, useLeadDraft, type ThirdSchool } from './leadStore.ts';
import { ReturnRace } from './ReturnRace.tsx';
import { spreadOfEstimate, type Expected, type Leads, type Out } from './useLeads.ts';
import { oneIn, restsWords, SCHOOL_TEXT } from './words.ts';

/** A runner on third is a run: fewer risks than elsewhere. Agreed. */
const RISK = 0.01;
const FOUL_FEET = 3;
const FLOAT_FEET = 6;
const VIEW = { left: -86, top: 82, width: 56, height: 46 };

/** From how far off third: by the third baseman, by three walking steps, or after the pitch. */
export function ThirdPage() {
  return (
    <LeadPage base="third" controls={<ThirdControls />}>
      {(leads, out) => <Third leads={leads} out={out} />}
    </LeadPage>
  );
}

function ThirdControls() {
  const { school } = useLeadDraft();
  return (
    <Choice
      label="School"
      value={school}
      options={THIRD_SCHOOLS.map((value) => ({ value, text: SCHOOL_TEXT[value] }))}
      onChange={(value) => {
        useLeadDraft.setState({ school: value });
      }}
    />
  );
}

function Third({ leads, out }: { leads: Leads; out: Out }) {
  const { runner, pitcher, catcher } = out;
  const draft = useLeadDraft();
  const { team, times } = leads;
  const { level } = times.field;
  const baseFeet = team.ruleset.baseDistanceFeet;
  const move = leads.moveOf(pitcher, 'third');
  const delivery = leads.deliveryOf(pitcher);
  const pop = leads.popOf(catcher, 'third');
  if (!move || !delivery || !pop) return <p>No pickoffs at this level, so nobody leads off.</p>;
  const own = leads.returnOf(runner);
  const thrown = (throwing: Expected, leadFeet: number, awaySpeed = 0): Throw => ({
    stance: { leadFeet, corner: 'back', mode: 'twoWay', awaySpeed },
    level,
    throwing: spreadOfEstimate(throwing),
    leftHander: false,
    own,
    cover: coverOfThird(draft.thirdBasemanFeet),
  });
  const longest = longestLead(thrown(move, 10), RISK);
  const walk = walkOffThird(delivery.meanSeconds, FLOAT_FEET);
  // Where each school is when the pitcher may throw over, and as the ball reaches the plate.
  const schools: Record<ThirdSchool, { setFeet: number; plateFeet: number; speed: number }> = {
    asFar: { setFeet: draft.thirdFeet, plateFeet: draft.thirdFeet, speed: 0 },
    walking: { setFeet: FLOAT_FEET, plateFeet: walk.endFeet, speed: walk.speedAtLanding },
    delayed: { setFeet: FLOAT_FEET, plateFeet: FLOAT_FEET, speed: 0 },
  };
  const { plateFeet: leadFeet, setFeet, speed } = schools[draft.school];
  // A runner who walks is caught, if at all, by the catcher; one who stands there already by the pitcher.
  const byCatcher = draft.school === 'walking';
  const raced = byCatcher ? thrown(pop, leadFeet, speed) : thrown(move, setFeet);

  // There the third baseman stands on the plate side of the bag.
  const backInFoul = team.ruleset.sport === 'softball';
  const path = { from: baseSpot('third', baseFeet), to: baseSpot('home', baseFeet) };
  // Running home from third, foul ground is on the right.
  const at = (along: number, foul = FOUL_FEET) => offPath(path, { along, left: -foul });
  return (
    <>
      <div className="lead-two">
        <section className="card-box">
          <FieldView
            view={VIEW}
            baseFeet={baseFeet}
            pitchingFeet={team.ruleset.pitchingDistanceFeet}
            label={`Third base. ${runner.name} is ${distance(leadFeet)} off, in foul ground.`}
          >
            <FieldWay tone="runner" spots={[at(1), at(leadFeet)]} />

            <FieldWay
              tone="ball"
              spots={
                backInFoul
                  ? [at(leadFeet), at(leadFeet / 2, FOUL_FEET + 2), at(1, 1)]
                  : [at(leadFeet), at(leadFeet / 2, -1.5), at(1, -0.5)]
              }
            />
            <FieldTick
              spot={at(longest, 0)}
              along={at(longest + 1, 0)}
              text={`safe to ${distanceDown(longest)}`}
              tone="good"
            />
            {draft.school === 'walking' &&
              walk.steps.map(({ foot, feet: along }, index) => (
                <FieldFoot
                  key={along}
                  nth={index + 1}
                  foot={foot}
                  spot={at(along, FOUL_FEET + 3)}
                />
              ))}
            <FieldMark
              spot={offPath(path, {
                along: draft.thirdBasemanFeet * 0.55,
                left: draft.thirdBasemanFeet * 0.84,
              })}
              tone="fielder"
              text={`3B ${distance(draft.thirdBasemanFeet)}`}
              drag={{
                label: 'Third baseman, off the bag',
                value: draft.thirdBasemanFeet,
                words: distance(draft.thirdBasemanFeet),
                onMove: (spot) => {
                  const { along, left } = againstPath(path, spot);
                  useLeadDraft.setState({
                    thirdBasemanFeet: halfFeet(Math.hypot(along, left), 0, 35),
                  });
                },
                onStep: (outward) => {
                  useLeadDraft.setState({
                    thirdBasemanFeet: halfFeet(draft.thirdBasemanFeet + 2 * outward, 0, 35),
                  });
                },
              }}
            />
            <FieldMark
              spot={at(leadFeet)}
              tone="runner"
              text={`${firstName(runner)} ${distance(leadFeet)}`}
              textSide="left"
              {...(draft.school === 'asFar' && {
                drag: {
                  label: `${runner.name}, lead`,
                  value: leadFeet,
                  words: distance(leadFeet),
                  onMove: (spot: { x: number; y: number }) => {
                    useLeadDraft.setState({
                      thirdFeet: halfFeet(againstPath(path, spot).along, 3, 30),
                    });
                  },
                  onStep: (outward: number) => {
                    useLeadDraft.setState({ thirdFeet: halfFeet(leadFeet + outward, 3, 30) });
                  },
                },
              })}
            />
          </FieldView>
          <p className="quiet lead-hint">
            Lead off in foul ground, so a batted ball that hits the runner is only foul. Come back{' '}
            {backInFoul
              ? 'in foul ground too: in softball the third baseman plays on the plate side of the bag.'
              : 'in fair ground, in the way of the throw.'}
          </p>
        </section>
        <section className="card-box lead-answer">
          <p className="lead-first">
            <strong className="figure">{distanceDown(longest)}</strong> longest safe lead, third
            baseman {distance(draft.thirdBasemanFeet)} off
          </p>
          <p role="status">{schoolWords(draft.school, walk)}</p>
          <ReturnRace
            asked={raced}
            throwing={byCatcher ? pop : move}
            runner={own}
            label={byCatcher ? 'Catch and throw' : 'Move and throw'}
          />
          {draft.school === 'walking' && (
            <ol className="timetable" aria-label="Timetable of the steps">
              {walk.steps.map(({ foot, landsSeconds }) => (
                <li key={landsSeconds}>
                  <strong className="figure">{seconds(landsSeconds)}</strong> {foot} foot
                </li>
              ))}
              <li>
                <strong className="figure">{seconds(delivery.meanSeconds)}</strong> mitt
              </li>
            </ol>
          )}
          <p className="quiet">
            Move to third {seconds(move.meanSeconds)} {restsWords(move)}. Catcher to third{' '}
            {seconds(pop.meanSeconds)} {restsWords(pop)}.
          </p>
          <LeadWhatIf leads={leads} out={out} base="third" />
        </section>
      </div>
      <section className="card-box lead-schools">
        <h2>What each way risks</h2>
        <table className="lead-table">
          <thead>
            <tr>
              <th scope="col">Lead</th>
              <th scope="col">Off at the pitch</th>
              <th scope="col">Out if the pitcher throws</th>
              <th scope="col">Out if the catcher throws</th>
            </tr>
          </thead>
          <tbody>
            {THIRD_SCHOOLS.map((school) => {
              const { setFeet: set, plateFeet, speed: away } = schools[school];
              const stopped = oneIn(chancePicked(thrown(pop, plateFeet)));
              return (
                <tr key={school} className={school === draft.school ? 'lead-chosen' : undefined}>
                  <th scope="row">{SCHOOL_TEXT[school]}</th>
                  <td className="figure">{distance(plateFeet)}</td>
                  <td>{oneIn(chancePicked(thrown(move, set)))}</td>
                  <td>
                    {away > 0
                      ? `${oneIn(chancePicked(thrown(pop, plateFeet, away)))} walking, ${stopped} stopped`
                      : stopped}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <p className="quiet">
          Land on the right foot, so home and the dive back are both open. Shoulders square to the
          plate.
        </p>
      </section>
    </>
  );
}

/** What to do, school by school. */
function schoolWords(school: ThirdSchool, walk: Walk): string {
  if (school === 'asFar') {
    return `Even with the third baseman holds from about ${distance(12)}. Past ${distance(20)} it gives a little too much.`;
  }
  if (school === 'delayed') {
    return `Wait at ${distance(FLOAT_FEET)} until the ball passes the batter, then walk. A full step late on a ball that gets away.`;
  }
  const start = walk.beforeFirstMove
    ? 'The pitch gets there too soon: take two steps'
    : `Start ${seconds(walk.startSeconds)} after the first move`;
  return `Float at ${distance(FLOAT_FEET)}, then right, left, right. ${start}. The last right foot lands as the ball crosses the plate, ${distance(walk.endFeet)} off.`;
}
