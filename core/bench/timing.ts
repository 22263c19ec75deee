import { makeRandom, normalDraw } from '../src/maths/index.ts';
import { PRESETS } from '../src/rules/index.ts';
import { populationsOf, typicalTime, type Conditions } from '../src/sprint/index.ts';
import {
  estimate,
  LEVELS,
  plainContext,
  type Reading,
  type ReadingContext,
} from '../src/timing/index.ts';
import type { PersonId } from '../src/units/index.ts';
import { aReading } from '../test/aReading.ts';
import { medianMs, type Print } from './median.ts';

const field: Conditions = { level: LEVELS.hs, ruleset: PRESETS.fullSizeSeven };
const person = { throws: 'right', bats: 'right' } as const;
const PEOPLE = 20;
const READINGS = 5000;
const CONTEXTS: ReadingContext[] = [
  { ...plainContext('delivery'), style: 'legLift' },
  { ...plainContext('delivery'), style: 'slideStep' },
  { ...plainContext('pop'), base: 'second' },
  { ...plainContext('steal'), base: 'second', leadFeet: 11.5 },
  plainContext('homeToFirst'),
];

/** Estimates of one population, and of a roster after one more tap. @public asked for by scripts/bench.mjs */
export function benchTiming(print: Print): void {
  const random = makeRandom(5);
  const draw = (context: ReadingContext, owner: string): Reading => {
    const typical = typicalTime(context, person, field);
    return aReading({
      ...context,
      personId: owner as PersonId,
      seconds: normalDraw(random, typical?.mean ?? 2, 0.08),
    });
  };
  const timer = { biasSeconds: 0, sdSeconds: 0.05 };
  const [legLift] = CONTEXTS;
  const one = Array.from({ length: 200 }, () => draw(legLift ?? plainContext('hold'), 'one'));
  const times = one.map(({ seconds }) => ({ seconds, timer }));
  const prior = typicalTime(one[0] ?? plainContext('hold'), person, field);
  print(
    'estimate-of-200-readings',
    medianMs(200, () => estimate(prior, times, timer)),
    'ms',
  );
  print(
    'estimate-and-flags-of-200-readings',
    medianMs(200, () => populationsOf(person, one, field, new Map())),
    'ms',
  );

  const roster = Array.from({ length: PEOPLE }, (_, index) =>
    Array.from({ length: READINGS / PEOPLE }, (__, nth) =>
      draw(CONTEXTS[nth % CONTEXTS.length] ?? plainContext('hold'), String(index)),
    ),
  );
  const all = medianMs(20, () => {
    for (const own of roster) populationsOf(person, own, field, new Map());
  });
  const tapped = medianMs(100, () => {
    const [own = []] = roster;
    populationsOf(
      person,
      [draw(CONTEXTS[0] ?? plainContext('hold'), '0'), ...own],
      field,
      new Map(),
    );
  });
  print('roster-of-20-with-5000-readings-all-anew', all, 'ms');
  print('roster-of-20-with-5000-readings-after-a-tap', tapped, 'ms');
  print('roster-after-a-tap-share', tapped / all, 'ratio');
}
