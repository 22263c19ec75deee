import { makeRandom } from '../src/maths/index.ts';
import {
  contextsOf,
  decode,
  newSystem,
  SIGN_PLAYS,
  signGenerator,
  tuneIdle,
  USUAL_GIVING,
  validate,
  watchedBy,
} from '../src/signs/index.ts';
import { medianMs, type Print } from './median.ts';

/** As many series of games as a screen asks of the worker at once, and until the figure stays. */
const [AT_ONCE, STABLE] = [6, 48];
const SEQUENCES = 400;

/** Reading, making, proving, and how long a system holds. @public asked for by scripts/bench.mjs */
export function benchSigns(print: Print): void {
  const random = makeRandom(5);
  const system = newSystem('indicator', SIGN_PLAYS.slice(0, 6), random);
  const [context] = contextsOf(system);
  if (!context) throw new RangeError('benchSigns needs a context');
  const { make, meanings } = signGenerator(system, context);
  const made = Array.from({ length: SEQUENCES }, (_, index) =>
    make(meanings[index % meanings.length] ?? null, random),
  );
  const each = (work: () => void): number => (medianMs(9, work) / SEQUENCES) * 1000;
  print(
    'signs-decode',
    each(() => {
      for (const sequence of made) decode(system, sequence ?? [], context);
    }),
    'microseconds',
  );
  print(
    'signs-generate',
    each(() => {
      for (let nth = 0; nth < SEQUENCES; nth += 1)
        make(meanings[nth % meanings.length] ?? null, random);
    }),
    'microseconds',
  );
  print(
    'signs-validate',
    medianMs(15, () => {
      validate(system);
    }),
    'ms',
  );
  print(
    'signs-tune',
    medianMs(5, () => {
      tuneIdle(system, context, random);
    }),
    'ms',
  );
  const watch = (runs: number) => (): void => {
    watchedBy(system, { giving: USUAL_GIVING, games: 2, runs, seed: 3 });
  };
  print('signs-strength-first-figure', medianMs(3, watch(AT_ONCE)), 'ms');
  print('signs-strength-stable', medianMs(3, watch(STABLE)), 'ms');
}
