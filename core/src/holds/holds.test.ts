import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeRandom } from '../maths/index.ts';
import { pitchesFor } from '../race/index.ts';
import { PRESETS } from '../rules/index.ts';
import { conditionsOf, runnerOf } from '../sprint/index.ts';
import { judgeSteal, type StealQuestion } from '../steals/index.ts';
import { LEVELS } from '../timing/index.ts';
import { picksOn, WORTH_A_PICK, type AtSecond } from './atSecond.ts';
import { leaveAimOn, leavesEarly, throwBehind, windUpOf } from './leaving.ts';
import { holdAt, holdLaw, PAUSE_LAW, survival, WINDOW_SECONDS } from './law.ts';
import { holding } from './needs.ts';
import { holdPlan, pausePlan } from './plan.ts';
import { readable, shareFrom } from './readable.ts';
import { throwOver, withinLimit } from './throwOver.ts';

describe('a hold that gives nothing to time', () => {
  const law = holdLaw(null);

  it('ends within the next quarter second as often from any moment on', () => {
    for (const from of [0.75, 1.1, 2, 3.33]) {
      const share = 1 - survival(from + WINDOW_SECONDS, law) / survival(from, law);
      expect(share).toBeCloseTo(0.13, 9);
    }
    expect(survival(0.3, law)).toBe(1);
  });

  it('stands where its place in the law is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.999, noNaN: true }), (place) => {
        expect(1 - survival(holdAt(place, law), law)).toBeCloseTo(place, 9);
      }),
    );
  });

  it('is cut sooner where the book limits the time, and is seldom cut', () => {
    expect(holdLaw(20).cutSeconds).toBe(4.5);
    const strict = holdLaw(5);
    expect(strict.cutSeconds).toBe(3);
    expect(survival(3, strict)).toBeLessThanOrEqual(0.05 + 1e-9);
    // Nothing shorter can be a plan.
    expect(holdLaw(1).cutSeconds).toBe(1.25);
  });
});

describe('a plan of holds', () => {
  const law = holdLaw(null);
  const shares = { throwOver: 0.12, pitchOut: 0.02 };
  const planOf = (seed: number, count = 50) => holdPlan(count, law, shares, makeRandom(seed));

  it('is the same from one seed, and another from the next', () => {
    expect(planOf(3)).toEqual(planOf(3));
    expect(planOf(3)).not.toEqual(planOf(4));
  });

  it('over ten thousand seeds has no quarter second that takes more than its share of what is left', () => {
    const holds = Array.from({ length: 10_000 }, (_, seed) => planOf(seed + 1, 8)).flat();
    for (let from = 0.75; from + WINDOW_SECONDS <= law.cutSeconds; from += WINDOW_SECONDS) {
      const left = holds.filter(({ seconds }) => seconds >= from);
      const ends = left.filter(({ seconds }) => seconds < from + WINDOW_SECONDS).length;
      const error = Math.sqrt((0.13 * 0.87) / left.length);
      expect(ends / left.length, String(from)).toBeLessThan(0.13 + 5 * error);
      expect(ends / left.length, String(from)).toBeGreaterThan(0.13 - 5 * error);
    }
    // What ends a hold does not tell how long it was, but that a cut is a step off.
    const short = holds.filter(({ seconds }) => seconds < 1.5);
    const long = holds.filter(({ seconds }) => seconds >= 2.5 && seconds < law.cutSeconds);
    const over = (all: typeof holds): number =>
      all.filter(({ ends }) => ends === 'throwOver').length / all.length;
    expect(Math.abs(over(short) - over(long))).toBeLessThan(0.015);
    expect(over(short)).toBeCloseTo(0.12, 1);
    for (const hold of holds) {
      if (hold.seconds >= law.cutSeconds) expect(hold.ends).toBe('stepOff');
    }
  });

  it('has no runs of like holds beyond chance: what comes next does not hang on what came', () => {
    let [pairs, alike, product] = [0, 0, 0];
    for (let seed = 1; seed <= 10_000; seed += 1) {
      const plan = planOf(seed, 6);
      for (const [at, { seconds }] of plan.entries()) {
        const next = plan[at + 1];
        if (!next) continue;
        pairs += 1;
        const [first, second] = [1 - survival(seconds, law), 1 - survival(next.seconds, law)];
        product += (first - 0.5) * (second - 0.5);
        if (Math.floor(first * 4) === Math.floor(second * 4)) alike += 1;
      }
    }
    // A quarter of pairs lie in the same quarter of the law, but for the cut.
    expect(alike / pairs).toBeGreaterThan(0.235);
    expect(alike / pairs).toBeLessThan(0.265);
    expect(Math.abs(product / pairs)).toBeLessThan(0.002);
  });

  it('wins a runner who guesses at his best no more than a hundredth of a second of jump', () => {
    // He goes at the moment that comes right most often; wrong, he has to wait and reacts as always.
    const holds = Array.from({ length: 10_000 }, (_, seed) => planOf(seed + 1, 1)).flat();
    const WON = 0.18;
    const LEANING = 0.18;
    let best = 0;
    for (let at = 0.75; at < law.cutSeconds; at += 0.05) {
      const left = holds.filter(({ seconds }) => seconds >= at);
      const right = left.filter(
        ({ seconds, ends }) =>
          seconds < at + WINDOW_SECONDS && (ends === 'pitch' || ends === 'pitchOut'),
      ).length;
      // Right: a better jump. Wrong: caught leaning, it costs as much getting back into it.
      const gain = (WON * right - LEANING * (left.length - right)) / holds.length;
      best = Math.max(best, gain);
    }
    expect(best).toBeLessThanOrEqual(0.01);
  });
});

describe('how readable holds are', () => {
  it('is much for a steady pitcher, little for a mixed one', () => {
    const steady = [2, 2.1, 1.95, 2.05, 2.02, 1.98, 2.1, 2];
    expect(readable(steady)).toMatchObject({ word: 'can', holds: 8 });
    expect(readable(steady)?.atSeconds ?? 0).toBeGreaterThan(1.95);
    expect(readable(steady)?.atSeconds ?? 9).toBeLessThan(2.2);
    const mixed = [0.9, 1.6, 2.3, 3.1, 4, 1.2, 2.7, 3.5];
    expect(readable(mixed)?.word).toBe('cannot');
    // Half of them alike, the rest anywhere.
    const between = [2, 2.05, 2.1, 2.15, 2.6, 3.1, 3.7, 4.2];
    expect(readable(between)?.share ?? 0).toBeGreaterThan(0.35);
    expect(readable(between)?.share ?? 1).toBeLessThan(0.55);
    expect(readable(between)?.word).toBe('somewhat');
  });

  it('says nothing of fewer than four, and little of four', () => {
    expect(readable([])).toBeNull();
    expect(readable([2, 2, 2])).toBeNull();
    expect(readable([2, 2, 2, 2])?.share ?? 1).toBeLessThan(0.75);
  });

  it('is smoothed by the plan, and never leaves 0 to 1', () => {
    expect(shareFrom(2, [])).toBeCloseTo(0.13, 9);
    const holds = fc.array(fc.double({ min: 0.3, max: 6, noNaN: true }), { maxLength: 30 });
    fc.assert(
      fc.property(holds, (all) => {
        const found = readable(all);
        if (!found) return;
        expect(found.share).toBeGreaterThan(0);
        expect(found.share).toBeLessThan(1);
        // The order in which they came plays no part.
        expect(readable(all.toReversed())).toEqual(found);
      }),
    );
  });

  it('finds the plan itself unreadable, with enough of its holds', () => {
    const holds = holdPlan(400, holdLaw(null), { throwOver: 0, pitchOut: 0 }, makeRandom(7));
    const ended = holds.filter(({ ends }) => ends === 'pitch').map(({ seconds }) => seconds);
    expect(shareFrom(1, ended)).toBeLessThan(0.2);
  });
});

describe('throwing over', () => {
  const level = LEVELS.hs;
  const toBase = {
    stance: { leadFeet: 11, corner: 'back' as const, mode: 'twoWay' as const, awaySpeed: 0 },
    level,
    throwing: { meanSeconds: 1.1, sdSeconds: 0.13 },
    leftHander: false,
  };
  const safeAt = (leadFeet: number): number => Math.min(0.97, 0.62 + 0.04 * (leadFeet - 11));
  const stakes = { gain: 0.18, cost: 0.42 };
  const found = throwOver(toBase, safeAt, stakes, [6, 16]);

  it('leaves the runner less than never throwing, or throwing twice as often', () => {
    expect(found.often).toBeGreaterThan(0);
    expect(found.worth).toBeLessThan(found.atNone);
    expect(found.worth).toBeLessThanOrEqual((found.atTwice ?? found.worth) + 1e-9);
    // Against one whom each foot helps they throw so often that nobody throws twice as often.
    const quick = throwOver(
      toBase,
      (lead) => Math.min(0.99, 0.9 + 0.03 * (lead - 8)),
      stakes,
      [6, 16],
    );
    expect(quick.often).toBeGreaterThan(0.25);
    expect(quick.atTwice).toBeNull();
    expect(found.leadFeet).toBeLessThan(16);
  });

  it('is not worth a throw against one who never goes', () => {
    expect(throwOver(toBase, () => 0.1, stakes, [6, 16])).toMatchObject({ often: 0 });
  });

  it('keeps the last one back where the book limits them', () => {
    expect(withinLimit(0.3, null)).toBe(0.3);
    expect(withinLimit(0.3, 2)).toBeCloseTo(0.25, 9);
    expect(withinLimit(0.3, 1)).toBe(0);
    expect(withinLimit(0.3, 0)).toBe(0);
  });
});

describe('picks at second', () => {
  const at = (parts: Partial<AtSecond> = {}) =>
    picksOn({
      level: LEVELS.hs,
      leadFeet: 17,
      hips: 'inside',
      depthFeet: 8,
      secondBasemanFeet: 25,
      cue: 'turn',
      spin: { meanSeconds: 1.27, sdSeconds: 0.12 },
      ...parts,
    });
  const of = (pick: string, parts: Partial<AtSecond> = {}): number =>
    at(parts).find((each) => each.pick === pick)?.chance ?? Number.NaN;

  it('stand in order, and get a runner who is far off more often', () => {
    const chances = at().map(({ chance }) => chance);
    expect(chances).toEqual(chances.toSorted((a, b) => b - a));
    expect(of('daylight')).toBeGreaterThan(of('daylight', { leadFeet: 13 }));
    expect(at({ leadFeet: 10 })[0]?.chance ?? 1).toBeLessThan(WORTH_A_PICK);
  });

  it('are worth less where a coach calls the break, or the shortstop is outside and deep', () => {
    expect(of('daylight', { cue: 'coach' })).toBeLessThan(of('daylight'));
    expect(of('daylight', { hips: 'outside', depthFeet: 15 })).toBeLessThan(of('daylight'));
  });
});

describe('their runner against our battery', () => {
  const field = conditionsOf({ level: 'hs', levelChanges: {}, ruleset: PRESETS.fullSizeSeven });
  const person = { throws: 'right', bats: 'right' } as const;
  const timed = { person, populations: [] };
  const question = (parts: Partial<StealQuestion['supposed']> = {}): StealQuestion => ({
    field,
    base: 'second',
    kind: 'straight',
    style: 'legLift',
    pitcher: timed,
    catcher: timed,
    runner: { ...timed, form: runnerOf(person, [], field) },
    leadFeet: null,
    batter: null,
    supposed: { pitch: 1.42, pop: 2.1, run: 3.4, ...parts },
  });
  const judging = { needed: 0.72, pitches: pitchesFor({ count: null }) };
  const out = { needed: 0.72, pitches: pitchesFor({ pitch: 'pitchout' }) };
  const ask = (parts: Partial<StealQuestion['supposed']> = {}) =>
    holding(question(parts), judging, out);

  it('is the same race as ours against theirs with the same numbers', () => {
    expect(ask().legLift.chance).toBe(judgeSteal(question(), judging).chance);
  });

  it('says how quick we have to be: a little quicker they stay, a little slower they go', () => {
    const { deliverSeconds, popSeconds } = ask();
    if (deliverSeconds === null || popSeconds === null) throw new Error('there is a race');
    expect(ask({ pitch: deliverSeconds - 0.02 }).legLift.chance).toBeLessThan(0.72);
    expect(ask({ pitch: deliverSeconds + 0.02 }).legLift.chance).toBeGreaterThan(0.72);
    expect(ask({ pop: popSeconds - 0.02 }).legLift.chance).toBeLessThan(0.72);
  });

  it('says what it takes: nothing, a slide step, a pitch-out, or that we cannot stop them', () => {
    const slow = ask({ run: 3.75 });
    expect(slow.takes).toBe('asWeAre');
    const styled = (run: number) => {
      const { supposed, ...rest } = question({ run });
      // Supposed deliveries have no style: here the level's own is asked.
      const { pitch: _pitch, ...others } = supposed ?? {};
      return holding({ ...rest, supposed: others }, judging, out).takes;
    };
    expect(styled(3.4)).toBe('slideStep');
    expect(styled(2.6)).toBe('cannot');
    const order = ['asWeAre', 'slideStep', 'pitchOut', 'cannot'];
    const all = [3.8, 3.6, 3.5, 3.4, 3.3, 3.2, 3.1, 3, 2.6].map((run) =>
      order.indexOf(styled(run)),
    );
    expect(all).toEqual(all.toSorted((a, b) => a - b));
  });
});

describe('where nobody leads off', () => {
  const leave = {
    meanSeconds: 0.04,
    sdSeconds: 0.06,
    freedom: Number.POSITIVE_INFINITY,
    meanSdSeconds: 0.02,
    spreadSeconds: 0.06,
  };

  it('a windup is as even as its taps, less what two thumbs add', () => {
    expect(windUpOf([0.6, 0.6, 0.61])).toBeNull();
    const uneven = windUpOf([0.5, 0.7, 0.5, 0.7]);
    expect(uneven?.meanSeconds).toBeCloseTo(0.6, 9);
    // Four readings .1 to each side spread by .1155; of its square .05 squared is the thumbs'.
    expect(uneven?.spreadSeconds).toBeCloseTo(Math.sqrt(0.04 / 3 - 0.0025), 9);
    expect(uneven?.count).toBe(4);
  });

  it('a runner leaves later on one that is mixed, and never aims before they may', () => {
    // Early one time in twenty: 1.645 spreads, less what cannot be told.
    expect(leaveAimOn(leave, 0.03)).toBeCloseTo(1.645 * 0.06 - 0.05, 3);
    expect(leaveAimOn(leave, 0.06)).toBeCloseTo(1.645 * Math.sqrt(0.0063) - 0.05, 3);
    expect(leaveAimOn(leave, 0)).toBeLessThan(leaveAimOn(leave, 0.03));
    expect(leaveAimOn({ ...leave, sdSeconds: 0.02 }, 0)).toBe(0);
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 0.1, noNaN: true }),
        (sdSeconds, spread, more) => {
          const of = { ...leave, sdSeconds };
          expect(leaveAimOn(of, spread + more)).toBeGreaterThanOrEqual(
            leaveAimOn(of, spread) - 1e-3,
          );
        },
      ),
    );
  });

  it('counts as early what a thumb can tell', () => {
    expect(leavesEarly({ ...leave, meanSeconds: -0.05 })).toBeCloseTo(0.5, 6);
    expect(leavesEarly({ ...leave, meanSeconds: 0.2 })).toBeLessThan(0.001);
  });

  const behind = {
    level: LEVELS.fpHs,
    feet: 12,
    catcherLaterSeconds: 0,
    own: { laterSeconds: 0, sdSeconds: 0 },
  };
  const stakes = { gain: 0.12, cost: 0.36 };

  it('a throw behind gets more of them the farther off they are, and pays from where it wins more than it risks', () => {
    const far = throwBehind({ ...behind, feet: 18 }, stakes);
    expect(far.chance).toBeGreaterThan(throwBehind(behind, stakes).chance);
    const { paysFromFeet } = far;
    expect(throwBehind({ ...behind, feet: paysFromFeet - 0.1 }, stakes).pays).toBe(false);
    const just = throwBehind({ ...behind, feet: paysFromFeet + 0.1 }, stakes);
    expect(just.pays).toBe(true);
    // What is won and what is risked are the same there.
    const away = LEVELS.fpHs.throws.wild / 2;
    expect(just.chance * stakes.cost).toBeCloseTo((1 - just.chance) * away * stakes.gain, 2);
  });

  it('a quicker catcher may throw sooner, a runner who is slow to come back as well', () => {
    const from = (parts: Partial<typeof behind>) =>
      throwBehind({ ...behind, ...parts }, stakes).paysFromFeet;
    expect(from({ catcherLaterSeconds: -0.1 })).toBeLessThan(from({}));
    expect(from({ own: { laterSeconds: 0.1, sdSeconds: 0 } })).toBeLessThan(from({}));
    // Where an out is worth little the runner has to be farther off.
    expect(throwBehind(behind, { gain: 0.3, cost: 0.1 }).paysFromFeet).toBeGreaterThan(from({}));
  });

  it('pauses are after a full stop, give no count to start on, and end in a pitch', () => {
    const pauses = Array.from({ length: 5000 }, (_, seed) =>
      pausePlan(8, 0.1, makeRandom(seed + 1)),
    ).flat();
    expect(new Set(pauses.map(({ ends }) => ends))).toEqual(new Set(['pitch', 'pitchOut']));
    const out = pauses.filter(({ ends }) => ends === 'pitchOut').length / pauses.length;
    expect(out).toBeGreaterThan(0.08);
    expect(out).toBeLessThan(0.12);
    const { fromSeconds, cutSeconds, share } = PAUSE_LAW;
    const lasting = pauses.map(({ seconds }) => seconds).toSorted((a, b) => a - b);
    expect(lasting[0]).toBeGreaterThanOrEqual(fromSeconds);
    expect(lasting.at(-1)).toBe(cutSeconds);
    for (let from = fromSeconds; from + WINDOW_SECONDS < cutSeconds; from += WINDOW_SECONDS) {
      const left = pauses.filter(({ seconds }) => seconds >= from);
      const ends = left.filter(({ seconds }) => seconds < from + WINDOW_SECONDS).length;
      const error = Math.sqrt((share * (1 - share)) / left.length);
      expect(Math.abs(ends / left.length - share)).toBeLessThan(5 * error);
    }
  });
});
