import {
  NOTHING_WATCHED,
  strengthOf,
  watchedBoth,
  type Giving,
  type SignSystem,
  type Strength,
} from '@bradyon/core/signs';
import { useEffect, useState } from 'react';
import { inSignWorker } from './heavy.ts';

/**
 * Series of games that are watched, a few at first: a figure comes at once, and it settles. Each part draws its
 * sequences anew, so there are not many parts.
 */
const PARTS = [6, 12, 30] as const;
const RUNS = PARTS.reduce((sum, part) => sum + part, 0);

export interface StrengthNow {
  strength: Strength | null;
  /** How much of it is worked out, 0..1. */
  done: number;
  isStopped: boolean;
  error: Error | null;
  stop: () => void;
}

/** How long a system holds, in the worker, progressively. @param system null: nothing is asked */
export function useStrength(system: SignSystem | null, giving: Giving): StrengthNow {
  const asked = JSON.stringify([system, giving]);
  const [found, setFound] = useState<{
    asked: string;
    strength: Strength | null;
    done: number;
    error: Error | null;
  }>({
    asked: '',
    strength: null,
    done: 0,
    error: null,
  });
  const [stopped, setStopped] = useState('');
  const isStopped = stopped === asked;
  useEffect(() => {
    const [own, how] = JSON.parse(asked) as [SignSystem | null, Giving];
    if (!own || isStopped) return;
    let isOld = false;
    const run = async (): Promise<void> => {
      let watched = NOTHING_WATCHED;
      for (const [seed, runs] of PARTS.entries()) {
        const part = await inSignWorker((heavy) => heavy.watch(own, how, runs, seed + 1));
        if (isOld) return;
        if (!part) {
          setFound({ asked, strength: null, done: 1, error: null });
          return;
        }
        watched = watchedBoth(watched, part);
        setFound({
          asked,
          strength: strengthOf(watched),
          done: watched.runs / RUNS,
          error: null,
        });
      }
    };
    run().catch((error: unknown) => {
      if (!isOld) setFound({ asked, strength: null, done: 1, error: error as Error });
    });
    return () => {
      isOld = true;
    };
  }, [asked, isStopped]);
  const isCurrent = found.asked === asked;
  return {
    strength: isCurrent ? found.strength : null,
    done: isCurrent ? found.done : 0,
    isStopped,
    error: isCurrent ? found.error : null,
    stop: () => {
      setStopped(asked);
    },
  };
}
