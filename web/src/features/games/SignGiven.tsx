import { lazy, Suspense } from 'react';
import type { Reader } from '../signs/index.ts';
import { useGame } from './useGame.ts';

// The desk is there sooner without the signs.
const GiveSign = lazy(async () => ({ default: (await import('../signs/index.ts')).GiveSign }));
const WhoMissed = lazy(async () => ({ default: (await import('../signs/index.ts')).WhoMissed }));

/** What the team's signs call a play of the desk. */
const SIGN_OF: Readonly<Record<string, string>> = {
  stealSecond: 'steal',
  stealThird: 'steal',
  stealHome: 'steal',
  hopSteal: 'steal',
  delayedSteal: 'delayed',
  sacrifice: 'bunt',
};
const signOf = (play: string): string => SIGN_OF[play] ?? play;
/** So many of the last signs tell how many are live; fewer tell nothing. */
const LAST_SIGNS = 10;

/** The touches for what is on, and who missed it. Nothing on is given the same way. */
export function SignGiven() {
  const { situation, weBat, now, name, person } = useGame();
  const { sign, bases } = situation;
  const isOn = sign !== null && sign.play !== 'nothing';
  if (!weBat || situation.over !== null) return null;
  // Told once more whether it was seen, it is not another sign.
  const given = now.events
    .filter((event) => event.kind === 'sign' && event.seen === null)
    .slice(-LAST_SIGNS);
  // Who has answered is asked anew with each sign.
  const signId = given.at(-1)?.id ?? 'none';
  const live = given.filter((event) => event.kind === 'sign' && event.play !== 'nothing');
  const readers = [situation.batter, bases.third, bases.second, bases.first].flatMap(
    (id): Reader[] => (id !== null && person(id) ? [{ id, name: name(id) }] : []),
  );
  return (
    <Suspense>
      {isOn && sign.seen === false && (
        <WhoMissed key={`missed ${signId}`} play={signOf(sign.play)} readers={readers} />
      )}
      <GiveSign
        key={`given ${signId}`}
        play={isOn ? signOf(sign.play) : null}
        context={{
          inning: situation.inning,
          outs: Math.min(2, situation.outs),
          bases:
            (bases.first === null ? 0 : 1) +
            (bases.second === null ? 0 : 2) +
            (bases.third === null ? 0 : 4),
        }}
        readers={readers}
        liveShare={given.length < LAST_SIGNS ? null : live.length / given.length}
      />
    </Suspense>
  );
}
