import {
  chancePicked,
  CORNERS,
  coverOfSecond,
  LEAD_MODES,
  longestLead,
  longestLeadBetween,
  stepsToLead,
  type LeadMode,
  type Throw,
} from '@bradyon/core/leads';
import { spreadOf } from '@bradyon/core/timing';
import { lazy, Suspense } from 'react';
import {
  baseSpot,
  FieldFoot,
  FieldMark,
  FieldTick,
  FieldView,
  againstPath,
  halfFeet,
  offPath,
} from '../../ui/field/index.ts';
import { Choice, distance, distanceDown, giveOrTake, seconds } from '../../ui/index.ts';
import { firstName, standsInFor } from '../people/index.ts';
import { KeepLead } from './KeepLead.tsx';
import { LeadPage, LeadWhatIf } from './LeadPage.tsx';
import { RISKS, useLeadDraft } from './leadStore.ts';
import { ReturnRace } from './ReturnRace.tsx';
import { Secondary } from './Secondary.tsx';
import { TestDives } from './TestDives.tsx';
import { spreadOfEstimate, type Leads, type Out } from './useLeads.ts';
import { CORNER_TEXT, inThrows, MODE_TEXT, restsWords, RISK_TEXT } from './words.ts';

const TradeOff = lazy(async () => ({ default: (await import('./TradeOff.tsx')).TradeOff }));

/** From how far off first: back in time, and worth it going. */
export function FirstPage() {
  return (
    <LeadPage base="first" controls={<FirstControls />}>
      {(leads, out) => <First leads={leads} out={out} />}
    </LeadPage>
  );
}

function FirstControls() {
  const { mode, corner, risk } = useLeadDraft();
  return (
    <>
      <Choice
        label="Ready to"
        value={mode}
        options={LEAD_MODES.map((value) => ({ value, text: MODE_TEXT[value] }))}
        onChange={(value) => {
          useLeadDraft.setState({ mode: value });
        }}
      />
      <Choice
        label="Corner"
        value={corner}
        options={CORNERS.map((value) => ({ value, text: CORNER_TEXT[value] }))}
        onChange={(value) => {
          useLeadDraft.setState({ corner: value });
        }}
      />
      <Choice
        label="Risk if they throw over"
        value={String(risk) as (typeof RISKS)[number]}
        options={RISKS.map((value) => ({ value, text: RISK_TEXT[value] ?? value }))}
        onChange={(value) => {
          useLeadDraft.setState({ risk: Number(value) });
        }}
      />
    </>
  );
}

const VIEW = { left: 38, top: 88, width: 34, height: 29 };
const SHORTEST = 4;
const LONGEST = 20;
/** Footprints are drawn beside the path, clear of what is marked on it. */
const FEET_LEFT = { right: 2.2, left: 3.5 } as const;

function First({ leads, out }: { leads: Leads; out: Out }) {
  const draft = useLeadDraft();
  const { team, times } = leads;
  const { runner, pitcher } = out;
  const { level } = times.field;
  const baseFeet = team.ruleset.baseDistanceFeet;
  const move = leads.moveOf(pitcher, 'first');
  if (!move) return <p>No pickoffs at this level, so nobody leads off.</p>;

  const own = leads.returnOf(runner);
  const leftHander = pitcher.throws === 'left';
  const kept = runner.leadFeet ?? leads.usualLeadFeet;
  const leadFeet = draft.first?.runnerId === runner.id ? draft.first.feet : kept;
  const setLead = (value: number): void => {
    useLeadDraft.setState({
      first: { runnerId: runner.id, feet: halfFeet(value, SHORTEST, LONGEST) },
    });
  };
  const toBase = (mode: LeadMode): Throw => ({
    stance: { leadFeet, corner: draft.corner, mode, awaySpeed: 0 },
    level,
    throwing: spreadOfEstimate(move),
    leftHander,
    own,
    ...(draft.firstBasemanFeet > 0 && { cover: coverOfSecond(draft.firstBasemanFeet) }),
  });
  const asked = toBase(draft.mode);
  const picked = chancePicked(asked);
  const longest = LEAD_MODES.map((mode) => ({ mode, feet: longestLead(toBase(mode), draft.risk) }));
  const safe = longest.find(({ mode }) => mode === draft.mode)?.feet ?? 0;
  const [shortest, farthest] = longestLeadBetween(
    { ...asked, throwing: spreadOf(move) },
    draft.risk,
  );

  const path = { from: baseSpot('first', baseFeet), to: baseSpot('second', baseFeet) };
  const at = (along: number, left = 0) => offPath(path, { along, left });
  return (
    <>
      <div className="lead-two">
        <section className="card-box">
          <FieldView
            view={VIEW}
            baseFeet={baseFeet}
            pitchingFeet={team.ruleset.pitchingDistanceFeet}
            label={`First base. ${runner.name} leads off ${distance(leadFeet)}.`}
          >
            {stepsToLead(leadFeet).map(({ foot, feet: along }, index) => (
              <FieldFoot
                key={index}
                nth={index + 1}
                foot={foot}
                spot={at(along, FEET_LEFT[foot])}
              />
            ))}
            {longest.map(({ mode, feet: along }) => (
              <FieldTick
                key={mode}
                spot={at(along)}
                along={at(along + 1)}
                side="right"
                {...(mode === draft.mode
                  ? { text: `safe to ${distanceDown(along)}`, tone: 'good' }
                  : { tone: 'quiet' })}
              />
            ))}
            <FieldMark
              spot={at(-draft.firstBasemanFeet * 0.35 - 1.5, draft.firstBasemanFeet * -0.94 - 1)}
              tone="fielder"
              text="1B"
              drag={{
                label: 'First baseman, off the bag',
                value: draft.firstBasemanFeet,
                words: distance(draft.firstBasemanFeet),
                onMove: (spot) => {
                  const { along, left } = againstPath(path, spot);
                  const off = Math.hypot(along, left) - 2;
                  useLeadDraft.setState({ firstBasemanFeet: halfFeet(off, 0, 25) });
                },
                onStep: (outward) => {
                  const off = halfFeet(draft.firstBasemanFeet + 2 * outward, 0, 25);
                  useLeadDraft.setState({ firstBasemanFeet: off });
                },
              }}
            />
            <FieldMark
              spot={at(leadFeet)}
              tone="runner"
              text={`${firstName(runner)} ${distance(leadFeet)}`}
              drag={{
                label: `${runner.name}, lead`,
                value: leadFeet,
                words: `${distance(leadFeet)}, ${inThrows(picked)}`,
                onMove: (spot) => {
                  setLead(againstPath(path, spot).along);
                },
                onStep: (outward) => {
                  setLead(leadFeet + outward);
                },
              }}
            />
          </FieldView>
          <p className="quiet lead-hint">
            Drag the runner or the first baseman. Steps: right foot dark, left foot light. Eyes on
            the pitcher once a foot leaves the bag.
          </p>
        </section>
        <section className="card-box lead-answer">
          <p className="lead-first">
            <strong className="figure">{distanceDown(safe)}</strong> longest safe{' '}
            {MODE_TEXT[draft.mode].toLowerCase()} lead
          </p>
          <p className="quiet">
            It could be anywhere from {distanceDown(shortest)} to {distanceDown(farthest)}.
          </p>
          <p role="status">
            At {distance(leadFeet)} the runner is {inThrows(picked)}
            {picked > draft.risk ? '. Too far for the risk you chose.' : '.'}
          </p>
          <ReturnRace asked={asked} throwing={move} runner={own} label="Move and throw" />
          <dl className="lead-list">
            {longest.map(({ mode, feet: value }) => (
              <div key={mode}>
                <dt>{MODE_TEXT[mode]}</dt>
                <dd className="figure">{distanceDown(value)}</dd>
              </div>
            ))}
          </dl>
          <p className="quiet">
            Move to first {seconds(move.meanSeconds)}, {giveOrTake(move.giveOrTakeSeconds)}{' '}
            {restsWords(move)}. {ownWords(own)}
          </p>
          <LeadWhatIf leads={leads} out={out} base="first" />
          {standsInFor(runner) === null && <KeepLead leads={leads} out={out} leadFeet={leadFeet} />}
        </section>
      </div>
      <div className="lead-two">
        <Suspense fallback={<section className="card-box lead-wait" />}>
          <TradeOff leads={leads} out={out} asked={asked} leadFeet={leadFeet} />
        </Suspense>
        {standsInFor(runner) === null && (
          <TestDives leads={leads} runner={runner} leadFeet={leadFeet} onLead={setLead} />
        )}
      </div>
      <Secondary leads={leads} out={out} leadFeet={leadFeet} own={own} />
    </>
  );
}

function ownWords({ timed, dived, laterSeconds }: ReturnType<Leads['returnOf']>): string {
  if (timed + dived === 0) return 'The dive back is typical for the level. Try a test dive.';
  const than =
    Math.abs(laterSeconds) < 0.005
      ? 'at the typical speed'
      : `${seconds(Math.abs(laterSeconds))} ${laterSeconds < 0 ? 'quicker' : 'slower'} than typical`;
  const rests = [
    ...(timed > 0 ? [`${String(timed)} timed`] : []),
    ...(dived > 0 ? [`${String(dived)} test dives`] : []),
  ].join(', ');
  return `They get back ${than} (${rests}).`;
}
