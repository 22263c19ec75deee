import { lazy, Suspense } from 'react';
import type { Desk } from './useDesk.ts';
import { useGame } from './useGame.ts';

// The desk is there sooner without it.
const HoldNow = lazy(async () => ({ default: (await import('../holds/index.ts')).HoldNow }));

/** While they bat: how their runner is held on the next pitch. Each pitch and each throw over draws another hold. */
export function HoldGiven({ desk }: { desk: Desk }) {
  const { weBat } = useGame();
  const { race, needed, pitcher, catcher, situation } = desk;
  if (weBat || !race || situation.over !== null || race.base === 'home') return null;
  const thrown = Object.values(situation.pitches).reduce((sum, each) => sum + each, 0);
  return (
    <Suspense>
      <HoldNow
        question={race.question}
        needed={needed}
        names={{ pitcher, catcher, runner: race.runner }}
        picksLeft={situation.picksLeft}
        nth={`${String(thrown)} ${String(situation.picks)} ${race.runner.id}`}
      />
    </Suspense>
  );
}
