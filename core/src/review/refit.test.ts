import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/review/refit.json';
import {
  chanceBefore,
  likelihoodOf,
  PRIOR_SD,
  REFITTED,
  shippedTheta,
  type Attempt,
  type RaceConstants,
  type ThrowSeen,
} from './attempt.ts';
import { refit, refusalOf, runnerShift } from './refit.ts';

const { tolerance } = vectors;

type GivenAttempt = (typeof vectors.likelihood)[number]['attempt'];
type GivenConstants = (typeof vectors.likelihood)[number]['constants'];

const attemptOf = (given: GivenAttempt): Attempt => ({
  toThird: given.base === 'third',
  againstLeft: given.left && given.base === 'second',
  slideReckoned: given.slide === 'reckoned',
  delivery: given.delivery,
  pop: given.pop,
  run: given.run,
  pitch: given.pitch,
  timed: given.timed,
  throw: given.throw as ThrowSeen | null,
  safe: given.safe,
  weight: given.weight,
  popTimed: given.popTimed,
});
const constantsOf = (given: GivenConstants): RaceConstants => ({
  jumpSeconds: given.jump,
  jumpSdSeconds: given.jumpSd,
  leftHanderSeconds: given.lhp,
  leftHanderSdSeconds: given.lhpSd,
  slideStepSeconds: -0.17,
  thirdJumpSeconds: -0.06,
  tagOnSeconds: given.tagOn,
  tagOnSdSeconds: given.tagOnSd,
  tagOffSeconds: given.tagOff,
  tagOffSdSeconds: given.tagOffSd,
  onLine: given.pOn,
  offLine: given.pOff,
  away: given.pWild,
});
const attemptsOf = (given: readonly unknown[]): Attempt[] =>
  (given as GivenAttempt[]).map(attemptOf);

function near(got: number, wanted: number, within: number, what = '') {
  expect(Math.abs(got - wanted), what).toBeLessThanOrEqual(within);
}

describe('the likelihood of an attempt', () => {
  it('knows the constants in their order', () => {
    expect(REFITTED).toEqual(vectors.order);
    expect(REFITTED.map((name) => PRIOR_SD[name])).toEqual(vectors.priorSd);
  });

  it.each(vectors.likelihood)('is as agreed, with its gradient: $attempt.base', (given) => {
    const attempt = attemptOf(given.attempt);
    const constants = constantsOf(given.constants);
    const found = likelihoodOf(attempt, given.theta, constants);
    near(found.log, given.logLikelihood, tolerance.likelihood);
    for (const [at, each] of found.gradient.entries()) {
      const wanted = given.gradient[at] ?? Number.NaN;
      near(each, wanted, tolerance.likelihood * Math.max(1, Math.abs(wanted)), REFITTED[at]);
    }
    near(chanceBefore(attempt, given.theta, constants), given.chanceBefore, tolerance.chance);
  });
});

describe('a re-fit', () => {
  it.each(vectors.refits)('comes to the same: $name', (given) => {
    const attempts = attemptsOf(given.attempts);
    const constants = constantsOf(given.constants);
    const found = refit(attempts, constants);
    const { expected } = given;
    near(found.objective, expected.objective, tolerance.objective);
    for (const [at, name] of REFITTED.entries()) {
      near(found.theta[at] ?? 0, expected.theta[at] ?? 9, tolerance.theta, name);
      near(found.z[at] ?? 0, expected.z[at] ?? 9, tolerance.z, name);
      const sd = expected.sd[at] ?? 9;
      near(found.sd[at] ?? 0, sd, 0.01 * sd, `sd of ${name}`);
      near(found.learned[at] ?? 0, expected.learned[at] ?? 9, 0.02, `learned ${name}`);
    }
    expect(found.moved).toEqual(expected.moved);
    near(found.jumpTagCorrelation, expected.jumpTagCorrelation, 0.01);
    const { raw } = expected;
    const own = found.constants;
    const pairs: [number, number, string][] = [
      [own.jumpSeconds, raw.jump, 'jump'],
      [own.jumpSdSeconds, raw.jumpSd, 'jumpSd'],
      [own.tagOnSeconds, raw.tagOn, 'tagOn'],
      [own.tagOffSeconds, raw.tagOff, 'tagOff'],
      [own.offLine / (own.onLine + own.offLine), raw.offLineOfArrived, 'off line'],
      [own.away, raw.away, 'away'],
      [own.withinFactor, raw.within, 'within'],
      [own.slideStepSeconds, raw.slideStep, 'slide step'],
      [own.leftHanderSeconds, raw.leftHander, 'left-hander'],
      [own.thirdJumpSeconds, raw.thirdJump, 'third'],
    ];
    for (const [got, wanted, what] of pairs) near(got, wanted, tolerance.theta, what);
    near(own.onLine + own.offLine + own.away, 1, 1e-12);
    for (const [at, chances] of expected.chanceFirst.entries()) {
      const attempt = attempts[at];
      if (!attempt) throw new Error('an attempt too few');
      const told = [shippedTheta(constants), found.theta].map((theta) =>
        chanceBefore(attempt, theta, constants),
      );
      for (const [which, each] of told.entries()) near(each, chances[which] ?? 9, tolerance.chance);
    }
    if (!expected.forward) expect(found.forward).toBeNull();
    else {
      expect(found.forward?.scored).toBe(expected.forward.scored);
      near(found.forward?.gain ?? 9, expected.forward.gain, tolerance.forward);
      near(found.forward?.sd ?? 9, expected.forward.sd, tolerance.forward);
    }
    if (!expected.leaveOneOut) expect(found.leaveOneOut).toBeNull();
    else {
      near(found.leaveOneOut?.gain ?? 9, expected.leaveOneOut.gain, tolerance.leaveOneOut);
      near(found.leaveOneOut?.sd ?? 9, expected.leaveOneOut.sd, tolerance.leaveOneOut);
    }
  });

  it.each(vectors.runners)(
    'finds what is a runner’s own: $expected',
    ({ level, theta, ...given }) => {
      const home = vectors.refits.find((each) => each.level === level);
      if (!home) throw new Error('no constants of the level');
      const found = runnerShift(attemptsOf(given.attempts), theta, constantsOf(home.constants));
      near(found.shiftSeconds, given.expected.shift, tolerance.theta);
      near(found.sdSeconds, given.expected.sd, 0.01 * given.expected.sd);
    },
  );

  it('says why it may not be applied', () => {
    const [ten, forty] = vectors.refits.map(({ attempts, constants }) =>
      refit(attemptsOf(attempts), constantsOf(constants)),
    );
    if (!ten || !forty) throw new Error('there are re-fits');
    expect(refusalOf(ten, 1)).toBe('tooFew');
    expect(refusalOf(forty, 0.5)).toBe('logNotWhole');
    expect(refusalOf(forty, 1)).toBe('predictsWorse');
    const gains = { forward: { gain: 1, sd: 1, scored: 20 }, leaveOneOut: { gain: 1, sd: 1 } };
    expect(refusalOf({ ...forty, ...gains }, null)).toBeNull();
    expect(refusalOf({ ...forty, ...gains, z: [3.4] }, 1)).toBe('tooFar');
  });
});
