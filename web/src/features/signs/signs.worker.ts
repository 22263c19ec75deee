import { makeRandom } from '@bradyon/core/maths';
import {
  contextsOf,
  slipsOf,
  tuneIdle,
  watchedBy,
  type Giving,
  type SignContext,
  type SignSystem,
} from '@bradyon/core/signs';
import { expose } from 'comlink';

/** What is too heavy to stand between a tap and its answer. */
const heavy = {
  watch: (system: SignSystem, giving: Giving, runs: number, seed: number) =>
    watchedBy(system, { giving, games: 2, runs, seed }),
  slips: (system: SignSystem, samples: number) => {
    const [context] = contextsOf(system);
    return context ? slipsOf(system, context, { samples, random: makeRandom(7) }) : [];
  },
  tune: (system: SignSystem, context: SignContext, seed: number) =>
    tuneIdle(system, context, makeRandom(seed)),
};
export type Heavy = typeof heavy;

expose(heavy);
