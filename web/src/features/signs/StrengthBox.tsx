import { rotationFactor, USUAL_GIVING, type SignSystem, type Strength } from '@bradyon/core/signs';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Choice } from '../../ui/index.ts';
import { useStrength } from './useStrength.ts';

const LIVE = [
  { value: '0.1', text: '1 in 10' },
  { value: '0.15', text: '1 in 7' },
  { value: '0.3', text: '3 in 10' },
] as const;
/** A stored ratio is right to about a quarter. */
const RATIO_DOUBT = 0.25;

const tens = (count: number): number => Math.max(10, Math.round(count / 10) * 10);
const range = (low: number, high: number): string =>
  tens(low) === tens(high) ? String(tens(low)) : `${String(tens(low))}–${String(tens(high))}`;
const shares = ({ low, high }: { low: number; high: number }): string =>
  `${String(Math.round(low * 100))}–${String(Math.round(high * 100))}%`;

/** How long the signs hold against somebody who films them: always a range, and what would help. */
export function StrengthBox({ system, isSound }: { system: SignSystem; isSound: boolean }) {
  const [live, setLive] = useState<(typeof LIVE)[number]['value']>('0.15');
  const { strength, done, isStopped, error, stop } = useStrength(isSound ? system : null, {
    ...USUAL_GIVING,
    liveShare: Number(live),
  });
  const factor = rotationFactor(system);
  return (
    <section
      className="card-box signs-strength"
      aria-label="If they film you"
      aria-busy={isSound && done === 0 && !isStopped}
    >
      <h2>If they film you</h2>
      {error && <p>{error.message}</p>}
      {!isSound && <p className="quiet">Fix what is marked first.</p>}
      {isSound &&
        !error &&
        (strength ? (
          <Found strength={strength} system={system} factor={factor} />
        ) : (
          <p className="quiet">
            {done === 1
              ? 'Leave touches that mean nothing: these signs cannot be hidden.'
              : 'Watching a few games...'}
          </p>
        ))}
      {isSound && done < 1 && !isStopped && (
        <p className="signs-progress">
          <progress value={done} max={1} aria-label="Games watched" />
          <Button variant="link" onClick={stop}>
            Stop
          </Button>
        </p>
      )}
      <Choice label="Live signs" showLabel options={LIVE} value={live} onChange={setLive} />
      <p className="quiet">
        Change what touches mean between games. Longer sequences hide nothing.
      </p>
    </section>
  );
}

function Found({
  strength,
  system,
  factor,
}: {
  strength: Strength;
  system: SignSystem;
  factor: number;
}) {
  const { halfAfter, byGame } = strength;
  const [first, second] = byGame;
  const isFixed = factor === 1;
  return (
    <>
      <p>
        <strong className="signs-half figure">
          {halfAfter ? range(halfAfter.low, halfAfter.high) : 'Over 280'}
        </strong>{' '}
        sequences seen before half of your live signs are read
        {isFixed ? '.' : ', if they think the indicator is fixed.'}
      </p>
      {!isFixed && (
        <p>
          If they know it changes: <strong className="figure">{knowing(factor)}</strong>.
        </p>
      )}
      {first && second && (
        <p className="quiet">
          Read in one game {shares(first)}, in a second with the same signs {shares(second)}.
        </p>
      )}
      <p>{help(system, factor)}</p>
    </>
  );
}

/** Against one who knows the rotation: the fixed half-way point, stretched. */
const FIXED_HALF = 55;
function knowing(factor: number): string {
  const middle = FIXED_HALF * factor;
  return range(middle * (1 - RATIO_DOUBT), middle * (1 + RATIO_DOUBT));
}

/** What would help most, from what matters: few live signs, then an indicator that changes by a key. */
function help({ indicator }: SignSystem, factor: number): string {
  if (indicator.kind === 'none')
    return 'What helps most: give fewer live signs, or add an indicator that changes.';
  if (factor === 1)
    return 'What helps most: give fewer live signs, or change the indicator by a key touch.';
  return 'What helps most: give fewer live signs.';
}
