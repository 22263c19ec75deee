import {
  chancePicked,
  coverOfThird,
  longestLead,
  walkOffThird,
  type Throw,
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
import { Choice, feet, seconds } from '../../ui/index.ts';
import { LeadCare, LeadPage, type Out } from './LeadPage.tsx';
import { THIRD_SCHOOLS, useLeadDraft } from './leadStore.ts';
import { spreadOfEstimate, type Leads } from './useLeads.ts';
import { fromCatcherWords, inThrows, safeFeet, SCHOOL_TEXT } from './words.ts';

/** A runner on third is a run: fewer risks than elsewhere. Agreed. */
const RISK = 0.01;
const FOUL_FEET = 3;
const FLOAT_FEET = 6;
const VIEW = { left: -86, top: 82, width: 56, height: 46 };

/** From how far off third: by the third baseman, by three walking steps, or after the pitch. */
export function ThirdPage() {
  return (
    <LeadPage title="Leads off third">{(leads, out) => <Third leads={leads} out={out} />}</LeadPage>
  );
}

function Third({ leads, out: { runner, pitcher, catcher } }: { leads: Leads; out: Out }) {
  const draft = useLeadDraft();
  const { team, times } = leads;
  const { level } = times.field;
  const baseFeet = team.ruleset.baseDistanceFeet;
  const move = leads.moveOf(pitcher, 'third');
  const delivery = leads.deliveryOf(pitcher);
  if (!move || !delivery) return <p>No pickoffs at this level, so nobody leads off.</p>;
  const own = leads.returnOf(runner);
  const fromPitcher = (leadFeet: number): Throw => ({
    stance: { leadFeet, corner: 'back', mode: 'twoWay', awaySpeed: 0 },
    level,
    throwing: spreadOfEstimate(move),
    leftHander: false,
    own,
    cover: coverOfThird(draft.thirdBasemanFeet),
  });
  const longest = longestLead(fromPitcher(10), RISK);
  const walk = walkOffThird(delivery.meanSeconds, FLOAT_FEET);
  const pop = catcher && leads.popOf(catcher, 'third');
  /** null: nobody is behind the plate, so nobody knows. */
  const fromCatcher = (leadFeet: number, awaySpeed: number): number | null =>
    pop
      ? chancePicked({
          ...fromPitcher(leadFeet),
          stance: { leadFeet, corner: 'back', mode: 'twoWay', awaySpeed },
          throwing: spreadOfEstimate(pop),
        })
      : null;
  const leadFeet =
    draft.school === 'asFar'
      ? draft.thirdFeet
      : draft.school === 'walking'
        ? walk.endFeet
        : FLOAT_FEET;

  // There the third baseman stands on the plate side of the bag.
  const backInFoul = team.ruleset.sport === 'softball';
  const path = { from: baseSpot('third', baseFeet), to: baseSpot('home', baseFeet) };
  // Running home from third, foul ground is on the right.
  const at = (along: number, foul = FOUL_FEET) => offPath(path, { along, left: -foul });
  return (
    <>
      <div className="lead-choices">
        <Choice
          label="School"
          value={draft.school}
          options={THIRD_SCHOOLS.map((value) => ({ value, text: SCHOOL_TEXT[value] }))}
          onChange={(school) => {
            useLeadDraft.setState({ school });
          }}
        />
      </div>
      <div className="lead-two">
        <section className="card-box">
          <FieldView
            view={VIEW}
            baseFeet={baseFeet}
            pitchingFeet={team.ruleset.pitchingDistanceFeet}
            label={`Third base. ${runner.name} is ${feet(leadFeet)} off, in foul ground.`}
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
              text={`safe to ${safeFeet(longest)}`}
              tone="good"
            />
            {draft.school === 'walking' &&
              walk.steps.map(({ foot, feet: along }) => (
                <FieldFoot key={along} foot={foot} spot={at(along, FOUL_FEET + 3)} />
              ))}
            <FieldMark
              spot={offPath(path, {
                along: draft.thirdBasemanFeet * 0.55,
                left: draft.thirdBasemanFeet * 0.84,
              })}
              tone="fielder"
              text={`3B ${feet(draft.thirdBasemanFeet)}`}
              drag={{
                label: 'Third baseman, off the bag',
                value: draft.thirdBasemanFeet,
                words: feet(draft.thirdBasemanFeet),
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
              text={`${runner.name.split(' ')[0] ?? ''} ${feet(leadFeet)}`}
              {...(draft.school === 'asFar' && {
                drag: {
                  label: `${runner.name}, lead`,
                  value: leadFeet,
                  words: feet(leadFeet),
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
            <strong className="figure">{safeFeet(longest)}</strong> longest safe lead, third baseman{' '}
            {feet(draft.thirdBasemanFeet)} off
          </p>
          {draft.school === 'asFar' && (
            <p role="status">
              At {feet(leadFeet)} the runner is {inThrows(chancePicked(fromPitcher(leadFeet)))} from
              the pitcher, {fromCatcherWords(fromCatcher(leadFeet, 0))} from the catcher. As far as
              the third baseman is holds from about 12 ft; past 20 ft it gives a little too much.
            </p>
          )}
          {draft.school === 'walking' && (
            <>
              <p role="status">
                A float of {feet(FLOAT_FEET)}, then right, left, right. Start{' '}
                {seconds(walk.startSeconds)} after the first move
                {walk.beforeFirstMove ? ', which is too early. Take two steps' : ''}. The last right
                foot lands as the ball crosses the plate, {feet(walk.endFeet)} off.
              </p>
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
              <p>
                If they throw behind with the ball in the mitt:{' '}
                {fromCatcherWords(fromCatcher(walk.endFeet, walk.speedAtLanding))} still walking,{' '}
                {fromCatcherWords(fromCatcher(walk.endFeet, 0))} once stopped.
              </p>
            </>
          )}
          {draft.school === 'delayed' && (
            <p role="status">
              Wait at {feet(FLOAT_FEET)} until the ball passes the batter, then walk. Safe from any
              throw, but a full step late on a ball that gets away.
            </p>
          )}
          <p className="quiet">
            Land on the right foot, so home and the dive back are both open. Shoulders square to the
            plate.
          </p>
        </section>
      </div>
      <LeadCare headFirst={team.ruleset.headFirstAllowed} />
    </>
  );
}
