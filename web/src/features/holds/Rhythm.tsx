import {
  GUESSED_JUMP_SECONDS,
  LEANING_OUT,
  readable,
  type Holding,
  type Readable,
} from '@bradyon/core/holds';
import { goOnRhythm } from '@bradyon/core/review';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { percent, seconds, SpreadDots } from '../../ui/index.ts';
import { firstName, standsInFor } from '../people/index.ts';
import { TwoTaps } from './TwoTaps.tsx';
import type { Hold } from './useHold.ts';
import { readableText } from './words.ts';

/** How well their runner can time our pitcher: from holds on file, or tapped here as a drill. */
export function Rhythm({ hold, found }: { hold: Hold; found: Holding }) {
  const { names, leads, team } = hold;
  const [tapped, setTapped] = useState<number[] | null>(null);
  const onFile = leads.times
    .readingsOf(names.pitcher.id)
    .filter(({ kind, asideReason }) => kind === 'hold' && asideReason === null)
    .map((reading) => reading.seconds)
    .toReversed();
  const holds = tapped ?? onFile;
  const read = readable(holds);
  const who = standsInFor(names.pitcher) ? 'The pitcher' : firstName(names.pitcher);
  return (
    <section className="card-box">
      <h2>Rhythm</h2>
      {tapped !== null && (
        <TwoTaps
          key={names.pitcher.id}
          name="Hold"
          marks={['Set', 'First move']}
          hint="Tap when the pitcher is set, and again at the first move."
          longestSeconds={LONGEST_HOLD_SECONDS}
          taken={tapped}
          onTaken={setTapped}
        />
      )}
      {holds.length > 0 && (
        <SpreadDots
          dots={holds.map((value, nth) => ({ key: String(nth), seconds: value, aside: false }))}
          meanSeconds={read?.atSeconds ?? null}
          giveOrTakeSeconds={read ? WINDOW_HALF : null}
          tone="ball"
        />
      )}
      {read ? (
        <>
          <p className="hold-big">{readableText(read)}</p>
          <p>{guessText(read, hold, found, who)}</p>
        </>
      ) : (
        <p className="quiet">
          {holds.length === 0 ? 'No holds timed.' : `${String(holds.length)} timed.`} Four say
          something.{' '}
          {tapped === null && (
            <Link to={`/teams/${team.id}/timing`}>Time holds from set in Time</Link>
          )}
        </p>
      )}
      <Button
        variant="outline-primary"
        onClick={() => {
          setTapped(tapped === null ? [] : null);
        }}
      >
        {tapped === null ? 'Rhythm drill' : 'Back to the times on file'}
      </Button>
    </section>
  );
}

/** What a runner who counts wins by it, and what to do about it. */
function guessText(
  { word, low, high, atSeconds }: Readable,
  { judging }: Hold,
  { legLift }: Holding,
  who: string,
): string {
  if (word === 'cannot') return 'Guessing does not pay. Keep it mixed.';
  const jump = legLift.legs.jump?.spread.meanSeconds ?? 0;
  const right = legLift.chanceWith(jump - GUESSED_JUMP_SECONDS);
  if (right < judging.needed) {
    return `Even timed right this runner is ${percent(right)} safe. Others may not be: mix it.`;
  }
  const react = legLift.chance;
  // Caught leaning is never better than having waited.
  const wrong = Math.min(react, 1 - LEANING_OUT);
  const { verdict } = goOnRhythm([low, high], { right, wrong, react });
  const timed = `Timed right they are ${percent(right)} safe.`;
  return verdict === 'goOnIt'
    ? `${timed} ${who}: hold ${seconds(atSeconds + 1)} next, then mix.`
    : verdict === 'maybe'
      ? `${timed} ${who}: step off once at ${seconds(atSeconds)}.`
      : `${timed} It comes off too seldom to try.`;
}

const WINDOW_HALF = 0.125;
const LONGEST_HOLD_SECONDS = 15;
