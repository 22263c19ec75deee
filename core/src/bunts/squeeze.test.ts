import { describe, expect, it } from 'vitest';
import { near, setupOf } from '../../test/bunts.ts';
import cells from '../../vectors/field/bunt_cells.json';
import vectors from '../../vectors/field/squeeze.json';
import { makeRandom, normalDraw } from '../maths/index.ts';
import { figuresAt } from '../timing/figures.ts';
import {
  aimMap,
  buntMap,
  BUNT_FIGURES,
  lateShow,
  pitchOutChance,
  prepareBunt,
  shownLate,
  skillOf,
  squeezeOutcome,
  squeezeRunner,
  type BuntFigures,
  type SqueezeClock,
} from './index.ts';
import { resolveBunt } from './resolve.ts';

const OF_SPORT = {
  baseball: { name: 'bb_suicide', level: 'college', rollFeet: 30, hardest: 58 },
  fastpitch: { name: 'fp_suicide', level: 'fpCollege', rollFeet: 15, hardest: 48 },
} as const;

describe('the squeeze clock', () => {
  it('has the constants of the figures computed elsewhere', () => {
    const figures = figuresAt(BUNT_FIGURES, 'college', {});
    const { constants } = vectors;
    expect([
      figures.pitchOutMost,
      figures.pitchOutDead,
      figures.lefthanderSees,
      figures.missedSuicide,
      figures.missedSafety,
      figures.popSuicide,
    ]).toEqual([
      constants.poMax,
      constants.poDead,
      constants.lhpSees,
      constants.missDead,
      constants.missSafety,
      constants.popDouble,
    ]);
    // Nobody waits for an early break here.
    expect(constants.poEarlyHold).toBe(0);
    // Half of the most is pitched out where the show alone is half seen.
    const half = { breakSeconds: 5, showSeconds: -constants.po50 };
    expect(pitchOutChance(half, constants.rhpSees, figures)).toBeCloseTo(constants.poMax / 2, 6);
    const steep = { ...half, showSeconds: half.showSeconds - constants.poW };
    expect(pitchOutChance(steep, 1, figures) / constants.poMax).toBeCloseTo(
      1 / (1 + Math.exp(-1)),
      6,
    );
    const both = { breakSeconds: -9, showSeconds: 9 };
    expect(pitchOutChance(both, 1, figures)).toBeCloseTo(
      constants.poMax * constants.runnerWeight,
      6,
    );
  });

  it.each(vectors.cases)(
    'comes to what was computed elsewhere: $sport, $runnerBreak, $show',
    (given) => {
      const { name, level, rollFeet, hardest } = OF_SPORT[given.sport as keyof typeof OF_SPORT];
      const figures: BuntFigures = figuresAt(BUNT_FIGURES, level, {});
      const state = cells.cells.find((each) => each.name === name);
      if (!state) throw new Error('no such state');
      const clock: SqueezeClock = {
        breakSeconds: given.runnerBreak,
        showSeconds: given.show,
        releaseSeconds: figures.releaseSeconds,
        pitchSeconds: figures.pitchSeconds,
      };
      const { topSpeed, accelerationSeconds } = setupOf(state.setup, cells.RE24).batter;
      const runner = squeezeRunner({ topSpeed, accelerationSeconds }, clock, figures);
      // The figures were read at the nearest cell of a coarse grid; the file names none, this one is it.
      const ready = prepareBunt({ ...setupOf(state.setup, cells.RE24), runners: [runner] });
      const map = buntMap(ready, { directions: 30, paces: 24, slowest: 10, hardest });
      const late = lateShow(clock);
      const skill = shownLate(skillOf(figures, 'suicide'), late);
      const aims = aimMap(map, skill, ready);
      const off = (aim: (typeof aims)[number]): number =>
        Math.abs(aim.degrees - 45) + Math.abs(aim.rollFeet - rollFeet);
      const aim = aims.reduce((best, each) => (off(each) < off(best) ? each : best));
      const pitchOut = pitchOutChance(clock, 1, figures);
      const outcome = squeezeOutcome(aim, skill, pitchOut, figures);
      const { tolerance } = vectors;
      near(late.missedMore, given.late.miss, tolerance, 'late misses');
      near(late.aimFactor, given.late.sd, tolerance, 'late aim');
      near(pitchOut, given.pPitchOut, tolerance, 'pitched out');
      const { result } = given;
      near(outcome.pitchOut, result.pitchOut, tolerance, 'pitched out');
      near(outcome.scoreIfFair, result.scoreFair, tolerance, 'scores if fair');
      near(outcome.score, result.score, tolerance, 'scores');
      near(outcome.runnerOut, result.dead, tolerance, 'runner out');
      near(outcome.foul, result.foul, tolerance, 'foul');
      near(outcome.other, result.other, tolerance, 'other');
      near(outcome.scoreInTheEnd, result.scoreIfFoulRepeats, tolerance, 'in the end');
    },
  );
});

describe('a squeeze played out many times', () => {
  const DRAWS = 12_000;

  it.each([
    { level: 'college', name: 'bb_suicide', breakSeconds: -0.1, showSeconds: 0.1 },
    { level: 'college', name: 'bb_suicide', breakSeconds: -0.4, showSeconds: -0.2 },
    { level: 'college', name: 'bb_suicide', breakSeconds: 0.15, showSeconds: 0.25 },
    { level: 'fpCollege', name: 'fp_suicide', breakSeconds: 0.15, showSeconds: 0.1 },
  ] as const)(
    'ends as the clock says: $level, break $breakSeconds, show $showSeconds',
    ({ level, name, ...marks }) => {
      const figures: BuntFigures = figuresAt(BUNT_FIGURES, level, {});
      const state = cells.cells.find((each) => each.name === name);
      if (!state) throw new Error('no such state');
      const setup = setupOf(state.setup, cells.RE24);
      const { releaseSeconds, pitchSeconds } = figures;
      const clock: SqueezeClock = { ...marks, releaseSeconds, pitchSeconds };
      const { topSpeed, accelerationSeconds } = setup.batter;
      const ready = prepareBunt({
        ...setup,
        runners: [squeezeRunner({ topSpeed, accelerationSeconds }, clock, figures)],
      });
      const skill = shownLate(skillOf(figures, 'suicide'), lateShow(clock));
      const [slowest, hardest] = [10, level === 'college' ? 58 : 48];
      const map = buntMap(ready, { directions: 60, paces: 40, slowest, hardest });
      const aims = aimMap(map, skill, ready);
      const aim = aims.reduce((best, each) =>
        Math.abs(each.degrees - 50) + Math.abs(each.rollFeet - 22) <
        Math.abs(best.degrees - 50) + Math.abs(best.rollFeet - 22)
          ? each
          : best,
      );
      const pitchOut = pitchOutChance(clock, 1, figures);
      const told = squeezeOutcome(aim, skill, pitchOut, figures);

      // Nothing of the map is used here: every ball is fielded where it went.
      const random = makeRandom(31);
      const sums = { score: 0, runnerOut: 0, foul: 0 };
      for (let draw = 0; draw < DRAWS; draw += 1) {
        if (random() < pitchOut) {
          if (random() < figures.pitchOutDead) sums.runnerOut += 1;
          continue;
        }
        const met = random();
        if (met < skill.missed) {
          if (random() < figures.missedSuicide) sums.runnerOut += 1;
        } else if (met < skill.missed + skill.tipped) sums.foul += 1;
        else if (met < skill.missed + skill.tipped + skill.popped) {
          if (random() >= skill.popCaught) sums.foul += 1;
          else if (random() < figures.popSuicide) sums.runnerOut += 1;
        } else {
          const degrees = normalDraw(random, aim.degrees, skill.sdDegrees);
          if (degrees < 0 || degrees > 90) sums.foul += 1;
          else {
            const pace = Math.exp(normalDraw(random, Math.log(aim.speed), skill.sdPace));
            const speed = Math.min(hardest, Math.max(slowest, pace));
            const { leadOut } = resolveBunt({ degrees, speed }, ready);
            sums.runnerOut += leadOut;
            sums.score += 1 - leadOut;
          }
        }
      }
      for (const key of ['score', 'runnerOut', 'foul'] as const) {
        const share = sums[key] / DRAWS;
        // Four times what so many draws leave open, and what the cells of the map round.
        const open = 4 * Math.sqrt((share * (1 - share)) / DRAWS) + 0.003;
        expect(Math.abs(share - told[key]), key).toBeLessThan(open);
      }
    },
  );
});
