import type { Person } from '../people/index.ts';
import { populationKey, type ReadingKind } from '../timing/index.ts';
import { fitSprint, type SprintFit, type TimedRun } from './fit.ts';
import type { Population } from './populations.ts';
import { runSpreadSeconds } from './runs.ts';
import { usualRun, type Conditions } from './typical.ts';

const RUN_KINDS: readonly ReadingKind[] = [
  'steal',
  'homeToFirst',
  'firstToThird',
  'secondToHome',
  'dash',
];

/** How a runner runs, by everything timed of him. */
export interface Runner {
  fit: SprintFit;
  /** Populations behind the fit, most times first. */
  restsOn: Population[];
  /** Of restsOn, those whose mean lies more than three deviations from what the others say. */
  oddOnesOut: Population[];
}

const ODD_BEYOND = 3;

/**
 * Fits a runner's curve to all his runs: steals, home to first, extra bases, dashes. Times of one
 * population count together, each as much as its timer is precise.
 */
export function runnerOf(
  person: Pick<Person, 'bats'>,
  populations: readonly Population[],
  field: Conditions,
): Runner {
  const restsOn = populations
    .filter(
      ({ context, estimate }) => RUN_KINDS.includes(context.kind) && (estimate?.count ?? 0) > 0,
    )
    .toSorted((a, b) => (b.estimate?.count ?? 0) - (a.estimate?.count ?? 0));
  const fit = fitSprint(
    restsOn.flatMap((population) => asOneRun(population, person, field)),
    field,
  );
  return {
    fit,
    restsOn,
    oddOnesOut: restsOn.filter((_, index) => Math.abs(fit.misfits[index] ?? 0) > ODD_BEYOND),
  };
}

/** The times of a population as one: their mean, weighed by how precise each is; none of what is no run. */
function asOneRun(
  { context, leadFeet, readings, reckonedSeconds, timerSdSeconds }: Population,
  { bats }: Pick<Person, 'bats'>,
  { ruleset }: Conditions,
): TimedRun[] {
  const run = usualRun(context, bats, ruleset, leadFeet);
  if (run === null) return [];
  const own = runSpreadSeconds(run);
  let [weights, sum] = [0, 0];
  for (const [index, { asideReason }] of readings.entries()) {
    if (asideReason !== null) continue;
    const weight = 1 / (own ** 2 + (timerSdSeconds[index] ?? 0) ** 2);
    weights += weight;
    sum += weight * (reckonedSeconds[index] ?? 0);
  }
  return [{ run, seconds: sum / weights, sdSeconds: 1 / Math.sqrt(weights) }];
}

/** How many times of a kind are behind a runner's curve. */
export function countOf(runner: Runner, context: Population['context']): number {
  const key = populationKey(context);
  return runner.restsOn.find((each) => each.key === key)?.estimate?.count ?? 0;
}
