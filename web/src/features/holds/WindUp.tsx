import {
  leaveAimOn,
  leavesEarly,
  MIXED_SPREAD_SECONDS,
  windUpOf,
  type Holding,
} from '@bradyon/core/holds';
import { spreadOf, type Estimate } from '@bradyon/core/timing';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { percent, seconds, SpreadDots } from '../../ui/index.ts';
import { TwoTaps } from './TwoTaps.tsx';
import type { Hold } from './useHold.ts';

/** No windup lasts longer, pitch included where the pitch has to reach the batter. */
const LONGEST_SECONDS = 4;

/** How evenly our pitcher winds up, and what that gives a runner who leaves on it. Tapped here, as a drill. */
export function WindUp({ hold, found }: { hold: Hold; found: Holding }) {
  const { leads, names, team } = hold;
  const [drill, setDrill] = useState<{ pitcherId: string; taken: number[] } | null>(null);
  const isOn = drill?.pitcherId === names.pitcher.id;
  const taken = isOn ? drill.taken : [];
  const windUp = windUpOf(taken);
  const atRelease = team.ruleset.leadRule === 'atRelease';
  const after = atRelease ? 'after the release' : 'after the pitch reaches the batter';
  const before = atRelease ? 'before the release' : 'before the pitch reaches the batter';
  const leave = leads.leaveOf(names.runner);
  const early = leave ? leavesEarly(spreadOf(leave)) : 0;
  return (
    <section className="card-box">
      <h2>Windup</h2>
      {leave && (
        <p>
          {leave.basis === 'timed' ? 'They leave' : 'Not timed: runners of the level leave'}{' '}
          {seconds(Math.abs(leave.meanSeconds))} {leave.meanSeconds < 0 ? before : after}, early on{' '}
          {percent(early)} of pitches. Early is an out: watch the bag.
        </p>
      )}
      {isOn && (
        <TwoTaps
          name="Windup"
          marks={['First move', atRelease ? 'Release' : 'At the plate']}
          hint={`Tap at the first move, and again ${atRelease ? 'at the release' : 'as the pitch reaches the plate'}.`}
          longestSeconds={LONGEST_SECONDS}
          taken={taken}
          onTaken={(next) => {
            setDrill({ pitcherId: names.pitcher.id, taken: next });
          }}
        />
      )}
      {taken.length > 0 && (
        <SpreadDots
          dots={taken.map((value, nth) => ({ key: String(nth), seconds: value, aside: false }))}
          meanSeconds={windUp?.meanSeconds ?? null}
          giveOrTakeSeconds={windUp?.spreadSeconds ?? null}
          tone="ball"
        />
      )}
      {windUp ? (
        <>
          <p className="hold-big">
            Even within {seconds(windUp.spreadSeconds)}. {windUp.count} timed.
          </p>
          {leave && (
            <p>{againstText(leave, found, { after, spreadSeconds: windUp.spreadSeconds })}</p>
          )}
        </>
      ) : (
        <p className="quiet">
          {taken.length === 0
            ? 'An even windup is one they can leave on.'
            : `${String(taken.length)} timed.`}{' '}
          Four say something.
        </p>
      )}
      <Button
        variant="outline-primary"
        onClick={() => {
          setDrill(isOn ? null : { pitcherId: names.pitcher.id, taken: [] });
        }}
      >
        {isOn ? 'End the drill' : 'Windup drill'}
      </Button>
    </section>
  );
}

/** When a runner can leave on it, what that makes of a steal, and what mixing the pace would take away. */
function againstText(
  leave: Estimate,
  { legLift }: Holding,
  { after, spreadSeconds }: { after: string; spreadSeconds: number },
): string {
  const now = legLift.legs.jump?.spread.meanSeconds ?? leave.meanSeconds;
  const aimOn = (spread: number): number => leaveAimOn(spreadOf(leave), spread);
  const aim = aimOn(spreadSeconds);
  const mixed = aimOn(Math.max(spreadSeconds, MIXED_SPREAD_SECONDS));
  const safe = (at: number): string => percent(legLift.chanceWith(now - at));
  const can = `A runner who is seldom early can leave ${seconds(aim)} ${after}: ${safe(aim)} safe.`;
  return mixed - aim < 0.005
    ? `${can} Mixed enough.`
    : `${can} Mix the pace by ${seconds(MIXED_SPREAD_SECONDS)} and it is ${seconds(mixed)}: ${safe(mixed)}.`;
}
