import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { setupOf } from '../../test/bunts.ts';
import cellVectors from '../../vectors/field/bunt_cells.json';
import { describeSharesMisfit } from '../innings/index.ts';
import { makeRandom, normalDraw } from '../maths/index.ts';
import { PRESETS } from '../rules/index.ts';
import { figuresAt } from '../timing/figures.ts';
import {
  aimMap,
  breaksFor,
  alignmentOf,
  buntMap,
  BUNT_FIGURES,
  fieldersOf,
  hitByDepth,
  planBunt,
  prepareBunt,
  priceAims,
  resolveBunt,
  readSqueeze,
  resolveSafety,
  squeezeTable,
  squeezeWorth,
  rolledAfter,
  rollFeet,
  rollSeconds,
  interceptBunt,
  knownBunt,
  worthByShow,
  sacrificeOutcomes,
  squeezeOutcomes,
  skillOf,
  speedToRoll,
  stakesOf,
  gridOf,
  type BuntQuestion,
  type Bunted,
} from './index.ts';
import { PANEL_7 } from '../maths/normals.ts';
import { decidePlay } from './decide.ts';
import { tableValue } from '../../test/bunts.ts';

const STATES = cellVectors.cells.map(({ name, setup }) => ({
  name,
  ready: prepareBunt(setupOf(setup, cellVectors.RE24)),
}));
const figures = figuresAt(BUNT_FIGURES, 'college', {});
const ground = { hopFeet: 5, keptSpeed: 0.7, slowing: 9 };

/** Twenty panels in one. */
const FINE = {
  at: Array.from({ length: 20 }, (_, part) =>
    PANEL_7.at.map((at) => (at + 2 * part + 1) / 20 - 1),
  ).flat(),
  weights: Array.from({ length: 20 }, () => PANEL_7.weights.map((weight) => weight / 20)).flat(),
};

const SUICIDE = cellVectors.cells.find(({ name }) => name === 'bb_suicide') ?? fail();
function fail(): never {
  throw new Error('no such state');
}

const anyBunt = fc.record({
  degrees: fc.double({ min: 1, max: 89, noNaN: true }),
  speed: fc.double({ min: 10, max: 58, noNaN: true }),
});
const anyState = fc.constantFrom(...STATES);

/** Runner on first, nobody out, college, corners as asked. */
function question(parts: Partial<BuntQuestion> = {}): BuntQuestion {
  const gait = { topSpeed: 27, accelerationSeconds: 0.75 };
  return {
    play: 'sacrifice',
    bases: 1,
    outs: 0,
    strikes: 0,
    ruleset: PRESETS.fullSizeNine,
    figures,
    surface: 'dryGrass',
    alignment: alignmentOf('holding', PRESETS.fullSizeNine),
    pitcherThrows: 'right',
    batter: gait,
    runners: { 1: gait },
    skill: skillOf(figures, parts.play ?? 'sacrifice'),
    breakSeconds: -0.1,
    value: tableValue(cellVectors.RE24),
    ...parts,
  };
}
const plan = (parts: Partial<BuntQuestion>) => {
  const asked = question(parts);
  return planBunt(asked, gridOf(asked, 20, 14));
};

describe('the roll', () => {
  it('is turned back into a speed, and ends where and when it says', () => {
    fc.assert(
      fc.property(fc.double({ min: 8, max: 80, noNaN: true }), (speed) => {
        const feet = rollFeet(speed, ground);
        expect(speedToRoll(feet, ground)).toBeCloseTo(speed, 9);
        expect(rolledAfter(rollSeconds(speed, ground), speed, ground)).toBeCloseTo(feet, 9);
        expect(rolledAfter(99, speed, ground)).toBeCloseTo(feet, 9);
      }),
    );
  });
});

/** In feet per second. Who has a ball between two of them turns by a hundredth in twice as much, and that is no jump. */
const HAIR = 0.005;
/** Seven points a panel are off by .0142 at worst, either way; the rest is what a hair of pace may do. */
const NO_JUMP = 0.0142 * 2 + 0.006;

describe('one bunt', () => {
  it('comes to chances that add up', () => {
    fc.assert(
      fc.property(anyState, anyBunt, ({ ready }, bunt) => {
        const own = resolveBunt(bunt, ready);
        const { leadOut, batterOut, anyOut, doublePlay, wild, noPlay } = own;
        for (const chance of [leadOut, batterOut, anyOut, doublePlay, wild, noPlay]) {
          expect(chance).toBeGreaterThanOrEqual(-1e-9);
          expect(chance).toBeLessThanOrEqual(1 + 1e-9);
        }
        const by = Object.values(own.fieldedBy).reduce((sum, each) => sum + each, 0);
        expect(by).toBeCloseTo(1, 9);
        const to = Object.values(own.thrownTo).reduce((sum, each) => sum + each, 0);
        expect(to + noPlay).toBeCloseTo(1, 9);
        expect(anyOut + wild).toBeLessThanOrEqual(1 + 1e-9);
      }),
      { numRuns: 10_000 },
    );
  });

  it('has no jumps: a hair more pace moves no chance far', () => {
    fc.assert(
      fc.property(anyState, anyBunt, ({ ready }, bunt) => {
        const both = [bunt, { ...bunt, speed: bunt.speed + HAIR }];
        // A ball that just slips past a glove is another ball: who has it then comes a step later.
        for (const fielder of ready.fielders) {
          const [soft = 0, firm = 0] = both.map(
            (each) =>
              interceptBunt(each, fielder, ready.ground, ready.hands.reachFeet)?.seconds ?? 99,
          );
          fc.pre(Math.abs(soft - firm) < 0.001);
        }
        const [a, b] = both.map((each) => resolveBunt(each, ready)) as [Bunted, Bunted];
        expect(Math.abs(a.leadOut - b.leadOut)).toBeLessThan(NO_JUMP);
        expect(Math.abs(a.value - b.value) / ready.stake).toBeLessThan(NO_JUMP);
      }),
      { numRuns: 10_000 },
    );
  });

  it('never gets a quicker runner more often', () => {
    fc.assert(
      fc.property(fc.constantFrom(...cellVectors.cells), anyBunt, ({ setup }, bunt) => {
        const usual = setupOf(setup, cellVectors.RE24);
        const quicker = {
          ...usual,
          runners: usual.runners.map((each) => ({ ...each, topSpeed: each.topSpeed + 1.5 })),
        };
        const lead = (from: typeof usual) => resolveBunt(bunt, prepareBunt(from)).leadOut;
        expect(lead(quicker)).toBeLessThanOrEqual(lead(usual) + 1e-3);
      }),
      { numRuns: 10_000 },
    );
  });

  it('agrees with the same defense played out many times', () => {
    // The same information by throwing dice: 24 decisions, each in four states.
    const random = makeRandom(11);
    const { doubt, hands } =
      STATES[0]?.ready ?? prepareBunt(setupOf(SUICIDE.setup, cellVectors.RE24));
    const DRAWS = 200_000;
    for (let each = 0; each < 24; each += 1) {
      const spread = (mean: number) => mean + (random() - 0.5) * 0.6;
      const first = spread(0.25);
      const second = spread(-0.05);
      const choices = [
        { margins: [first, first + 0.25] as const, valueIfOut: 0.66 },
        { margins: [second, second + 0.25] as const, valueIfOut: 0.51 },
      ];
      const good = [hands.goodSet, hands.goodRush] as const;
      const stakes = { allSafe: 1.44, wild: 1.96, stake: 0.93, good };
      const own = decidePlay(choices, stakes, doubt, FINE);
      const coarse = decidePlay(choices, stakes, doubt);
      const out = [0, 0];
      const real2 = doubt.fieldingSdSeconds ** 2 + doubt.runnerSdSeconds ** 2;
      const trust = real2 / (real2 + doubt.seenSdSeconds ** 2);
      const belief = Math.sqrt(doubt.throwSdSeconds ** 2 + real2 * (1 - trust));
      const dislike = doubt.sureOut * stakes.stake;
      for (let draw = 0; draw < DRAWS; draw += 1) {
        const late = normalDraw(random, 0, doubt.fieldingSdSeconds);
        let best = { value: stakes.allSafe + dislike, place: -1, mode: 0, real: 0 };
        for (const [place, { margins, valueIfOut }] of choices.entries()) {
          const real = normalDraw(random, 0, doubt.runnerSdSeconds) - late;
          const seen = trust * (real + normalDraw(random, 0, doubt.seenSdSeconds));
          for (const mode of [0, 1] as const) {
            const p = normal((margins[mode] + seen) / belief);
            const made = good[mode];
            const value =
              stakes.allSafe +
              dislike +
              (1 - made) * doubt.wild * (stakes.wild - stakes.allSafe) -
              made * (stakes.allSafe - valueIfOut + dislike) * p;
            if (value < best.value) best = { value, place, mode, real: real + margins[mode] };
          }
        }
        if (best.place < 0) continue;
        const made = random() < good[best.mode as 0 | 1];
        const isOut = made && best.real + normalDraw(random, 0, doubt.throwSdSeconds) > 0;
        if (isOut) out[best.place] = (out[best.place] ?? 0) + 1;
      }
      for (const place of [0, 1]) {
        expect(Math.abs((coarse.out[place] ?? 0) - (own.out[place] ?? 0))).toBeLessThan(0.015);
        expect(Math.abs((out[place] ?? 0) / DRAWS - (own.out[place] ?? 0))).toBeLessThan(0.005);
      }
    }
  });
});

describe('a fine map', () => {
  it.each([
    [60, 40],
    [48, 32],
  ])('is as good where it is taken between its neighbors: %i by %i', (directions, paces) => {
    for (const { ready } of STATES) {
      const fine = { directions, paces, slowest: 10, hardest: 50 };
      const { cells, degrees, speeds } = buntMap(ready, fine);
      let between = 0;
      for (let at = 0; at < cells.length; at += 7) {
        const [row, column] = [Math.floor(at / directions), at % directions];
        const bunt = { degrees: degrees[column] ?? 0, speed: speeds[row] ?? 0 };
        const exact = resolveBunt(bunt, ready);
        const cell = cells[at];
        if (cell?.value !== exact.value) between += 1;
        expect(Math.abs((cell?.leadOut ?? 9) - exact.leadOut)).toBeLessThan(0.012);
        expect(Math.abs((cell?.value ?? 9) - exact.value)).toBeLessThan(0.012 * ready.stake);
      }
      // And that saves work.
      expect(between).toBeGreaterThan(cells.length / 7 / 8);
    }
  });
});

describe('aims and their price', () => {
  it('never make a foul worth more than the bunt, and each strike costs', () => {
    for (const { ready } of STATES) {
      const map = buntMap(ready, { directions: 16, paces: 10, slowest: 10, hardest: 50 });
      const skill = skillOf(figures, 'sacrifice');
      const aims = aimMap(map, skill, ready);
      for (const aim of aims) expect(aim.fair + aim.foul).toBeLessThanOrEqual(1 + 1e-9);
      fc.assert(
        fc.property(fc.double({ min: 0, max: 1.4, noNaN: true }), (swing) => {
          const stakes = {
            strikeout: 0.2,
            missedDead: 0.04,
            leadRunnerOut: 0.2,
            popOut: 0.2,
            popDouble: 0.05,
            swing: [swing, swing - 0.05, swing - 0.11] as const,
          };
          const { byStrikes } = priceAims(aims, skill, stakes, 0);
          expect(byStrikes[0]).toBeGreaterThanOrEqual(byStrikes[1] - 1e-9);
          expect(byStrikes[1]).toBeGreaterThanOrEqual(byStrikes[2] - 1e-9);
        }),
        { numRuns: Math.ceil(10_000 / STATES.length) },
      );
    }
  });

  it('pull an average bunter and a good one the same way, the good one with more', () => {
    const average = plan({});
    const good = plan({ skill: skillOf(figuresAt(BUNT_FIGURES, 'pro', {}), 'sacrifice') });
    expect(good.best.value).toBeGreaterThan(average.best.value);
  });
});

describe('what is told a coach', () => {
  it('goes away from a first baseman who crashes', () => {
    const { best } = plan({ alignment: alignmentOf('crashFirst', PRESETS.fullSizeNine) });
    expect(best.degrees).toBeGreaterThan(60);
    expect(best.leadOut).toBeLessThan(0.08);
  });

  it('is dead in front of the plate when both crash', () => {
    const { best } = plan({ alignment: alignmentOf('crashBoth', PRESETS.fullSizeNine) });
    expect(best.degrees).toBeGreaterThan(30);
    expect(best.degrees).toBeLessThan(60);
    expect(best.rollFeet).toBeLessThan(30);
  });

  it('changes with whether the shortstop goes to third', () => {
    const both = { bases: 3, runners: { 1: question().batter, 2: question().batter } };
    const alignment = alignmentOf('in', PRESETS.fullSizeNine);
    const firm = (shortToThird: boolean) => {
      const { aims } = plan({ ...both, alignment: { ...alignment, shortToThird } });
      const third = aims.filter(
        ({ degrees, rollFeet: feet }) => degrees > 74 && feet > 40 && feet < 60,
      );
      return third.reduce((sum, { leadOut }) => sum + leadOut, 0) / third.length;
    };
    expect(firm(true)).toBeGreaterThan(firm(false) + 0.1);
  });

  it('is a bunt for a hit from some depth of the third baseman on, and sooner for the quicker', () => {
    const hit = (topSpeed: number) =>
      hitByDepth(
        question({
          play: 'hit',
          bases: 0,
          runners: {},
          batter: { topSpeed, accelerationSeconds: 0.75 },
        }),
        0,
      );
    const [fast, slow] = [hit(29.3), hit(26)];
    const gains = fast.steps.map(({ gain }) => gain);
    expect(gains).toEqual(gains.toSorted((a, b) => a - b));
    expect(fast.paysFrom).not.toBeNull();
    expect(slow.paysFrom ?? 99).toBeGreaterThan(fast.paysFrom ?? 0);
    // It turns between the last depth that does not pay and the first that does.
    const first = fast.steps.findIndex(({ gain }) => gain > 0);
    expect(fast.paysFrom).toBeGreaterThan(fast.steps[first - 1]?.feet ?? Number.NaN);
    expect(fast.paysFrom).toBeLessThanOrEqual(fast.steps[first]?.feet ?? Number.NaN);
    const always = hitByDepth(
      question({ play: 'hit', bases: 0, runners: {}, value: outsAreFree }),
      0,
    );
    expect(always.paysFrom).toBeNull();
    expect(always.steps[0]?.gain).toBeGreaterThan(0);
  });

  it('has the fielders of the figures computed elsewhere', () => {
    for (const { name, sport, setup } of cellVectors.cells) {
      const isSoftball = sport === 'fastpitch';
      const ruleset = isSoftball ? PRESETS.fastpitch43 : PRESETS.fullSizeNine;
      const on = (base: number): boolean => setup.runners.some(({ from }) => from === base);
      const own = fieldersOf(
        alignmentOf(name === 'bb_R1' ? 'holding' : 'in', ruleset),
        { onFirst: on(1), onSecond: on(2) },
        ruleset,
        'right',
        figuresAt(BUNT_FIGURES, isSoftball ? 'fpCollege' : 'college', {}),
      );
      for (const expected of setupOf(setup, cellVectors.RE24).fielders) {
        const fielder = own.find(({ position }) => position === expected.position);
        expect(fielder?.at.x, `${name} ${expected.position}`).toBeCloseTo(expected.at.x, 6);
        expect(fielder?.at.y, `${name} ${expected.position}`).toBeCloseTo(expected.at.y, 6);
        expect(fielder?.topSpeed).toBe(expected.topSpeed);
        expect(fielder?.reactSeconds).toBe(expected.reactSeconds);
        expect(fielder?.chargeSpeed).toBe(expected.chargeSpeed);
        expect(fielder?.throwSpeed).toBeCloseTo(expected.throwSpeed, 9);
        expect([...(fielder?.covers ?? [])].toSorted()).toEqual([...expected.covers].toSorted());
      }
    }
  });

  it('keeps a runner from third where going does not pay, on a safety squeeze', () => {
    const asked = question({
      play: 'safety',
      bases: 4,
      outs: 1,
      runners: { 3: question().batter },
    });
    const { best } = planBunt(asked, gridOf(asked, 16, 10));
    expect(best.leadOut).toBeLessThan(0.6);
    const going = prepareBunt(setupOf(SUICIDE.setup, cellVectors.RE24));
    const staying = prepareBunt({
      ...setupOf(SUICIDE.setup, cellVectors.RE24),
      runners: [],
      held: 4,
    });
    const bunt = { degrees: 45, speed: 50 };
    const safety = resolveSafety(bunt, going, staying);
    const [goes, stays] = [resolveBunt(bunt, going), resolveBunt(bunt, staying)];
    expect(safety.value).toBeGreaterThanOrEqual(Math.min(goes.value, stays.value) - 1e-9);
    expect(safety.leadOut).toBeLessThanOrEqual(goes.leadOut + 1e-9);
  });

  it('is told in figures where nothing is at stake any more', () => {
    const { best, swing, run } = plan({ value: () => 1 });
    for (const figure of [best.value, best.leadOut, best.batterOut, best.fair, swing, run]) {
      expect(Number.isFinite(figure)).toBe(true);
    }
    expect(best.value).toBeCloseTo(1, 9);
  });

  it('prices nobody on without a lead runner to lose', () => {
    const stakes = stakesOf(question({ play: 'hit', bases: 0, runners: {} }));
    expect(stakes.missedDead).toBe(0);
    expect(stakes.popDouble).toBe(stakes.popOut);
  });
});

describe('a squeeze read from its table', () => {
  const asked = question({ play: 'suicide', bases: 4, outs: 1, runners: { 3: question().batter } });
  const table = squeezeTable(asked);
  const read = (breakSeconds: number, showSeconds = 0.1) =>
    readSqueeze(table, {
      clock: { breakSeconds, showSeconds, releaseSeconds: 0.15, pitchSeconds: 0.43 },
      skill: asked.skill,
      aim: { degrees: 45, speed: 30 },
      sees: 1,
      figures,
    });

  it('is smooth between the breaks that were worked out', () => {
    const [early, between, late] = [read(-0.1), read(-0.05), read(0)];
    expect(between.scoreIfFair).toBeLessThan(early.scoreIfFair - 0.01);
    expect(between.scoreIfFair).toBeGreaterThan(late.scoreIfFair + 0.01);
  });

  it('comes to shares that add up, and an early show is pitched out', () => {
    for (const breakSeconds of [-0.5, -0.2, 0.1, 0.4]) {
      for (const show of [-0.3, 0, 0.2]) {
        const { score, runnerOut, foul, other } = read(breakSeconds, show);
        expect(score + runnerOut + foul + other).toBeCloseTo(1, 9);
      }
    }
    expect(read(-0.1, -0.3).pitchOut).toBeGreaterThan(read(-0.1, 0.1).pitchOut + 0.4);
    expect(squeezeWorth(read(-0.1), asked)).toBeGreaterThan(squeezeWorth(read(-0.1, -0.3), asked));
  });

  it('has nobody leave before release where the rules say so', () => {
    const softball = { ruleset: PRESETS.fastpitch43, figures };
    expect(breaksFor(softball).from).toBe(figures.releaseSeconds);
    expect(breaksFor(asked).from).toBeLessThan(0);
  });
});

describe('when it is shown', () => {
  it('is worth less the later the bat is ready, where nobody charges sooner for it', () => {
    // Corners that play deep hardly gain from an early show; a late one costs misses anyway.
    const deep = worthByShow(question({ alignment: alignmentOf('deep', PRESETS.fullSizeNine) }));
    expect(deep.early).toBeGreaterThan(deep.late);
    // Late costs as well where the corners are in.
    const near = worthByShow(question({ alignment: alignmentOf('in', PRESETS.fullSizeNine) }));
    expect(near.release - near.late).toBeGreaterThan(0);
    for (const each of [...Object.values(deep), ...Object.values(near)]) {
      expect(Number.isFinite(each)).toBe(true);
    }
  });
});

describe('outcomes for the odds', () => {
  it('are shares that add up, whatever the defense and the bunter', () => {
    for (const level of ['pro', 'hs', 'fpU12'] as const) {
      const skill = skillOf(figuresAt(BUNT_FIGURES, level, {}), 'sacrifice');
      for (const name of ['holding', 'in', 'crashBoth', 'deep'] as const) {
        const { best } = plan({ skill, alignment: alignmentOf(name, PRESETS.fullSizeNine) });
        const sacrifice = sacrificeOutcomes(best, skill);
        expect(describeSharesMisfit(sacrifice)).toBeNull();
        for (const share of Object.values(sacrifice)) expect(share).toBeGreaterThanOrEqual(-1e-9);
        const squeeze = squeezeOutcomes(best, { ...skill, popDouble: 0.9 }, 0.1, figures);
        expect(describeSharesMisfit(squeeze)).toBeNull();
        for (const share of Object.values(squeeze)) expect(share).toBeGreaterThanOrEqual(-1e-9);
      }
    }
  });

  it('are of a sacrifice or of a squeeze, whichever is asked, and a quick runner is out less often', () => {
    const quick = { topSpeed: 29.5, accelerationSeconds: 0.7 };
    const slow = { topSpeed: 23.5, accelerationSeconds: 0.9 };
    const onFirst = (gait: typeof quick) =>
      knownBunt(question({ play: 'sacrifice', bases: 1, runners: { 1: gait } }));
    expect(onFirst(quick).squeeze).toBeNull();
    expect(onFirst(quick).bunt?.leadOut).toBeLessThan((onFirst(slow).bunt?.leadOut ?? 0) - 0.01);
    const onThird = (pitcherThrows: 'left' | 'right') =>
      knownBunt(question({ play: 'suicide', bases: 4, runners: { 3: quick }, pitcherThrows }));
    expect(onThird('right').bunt).toBeNull();
    // A left-hander has the runner in the back: pitched out less often.
    expect(onThird('left').squeeze?.missed).toBeLessThan(onThird('right').squeeze?.missed ?? 0);
  });

  it('move more runners against a defense that stays back', () => {
    const skill = question().skill;
    const good = (name: 'normal' | 'crashBoth') => {
      const { success, safe } = sacrificeOutcomes(
        plan({ alignment: alignmentOf(name, PRESETS.fullSizeNine) }).best,
        skill,
      );
      return success + safe;
    };
    expect(good('normal')).toBeGreaterThan(good('crashBoth'));
  });
});

/** A bunt can only win here. */
function outsAreFree(bases: number, _outs: number, runs: number): number {
  return bases === 0 ? runs : runs + 1;
}

function normal(x: number): number {
  // Good to 1e-7: independent of the table that is tested.
  const t = 1 / (1 + 0.3275911 * (Math.abs(x) / Math.SQRT2));
  const poly =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-(x ** 2) / 2);
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}
