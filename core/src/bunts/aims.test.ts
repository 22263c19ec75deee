import { describe, expect, it } from 'vitest';
import { near, setupOf } from '../../test/bunts.ts';
import vectors from '../../vectors/field/bunt_aims.json';
import {
  aimMap,
  buntMap,
  prepareBunt,
  priceAims,
  type BuntSkill,
  type PricedAim,
  type Strikes,
} from './index.ts';

const { tolerance } = vectors;

describe('aiming', () => {
  it.each(vectors.cases)('comes to what was computed elsewhere: $name', (given) => {
    const ready = prepareBunt(setupOf(given.setup, vectors.RE24));
    const { grid, atBat } = given;
    const map = buntMap(ready, {
      directions: grid.nT,
      paces: grid.nV,
      slowest: grid.vLo,
      hardest: grid.vHi,
    });
    const skill: BuntSkill = {
      sdDegrees: given.skill.sdAngle,
      sdPace: given.skill.sdSpeed,
      missed: given.skill.pMiss,
      tipped: given.skill.pTip,
      popped: given.skill.pPop,
      popCaught: given.skill.popCaught,
      popDouble: given.skill.popDouble,
    };
    const priced = priceAims(
      aimMap(map, skill, ready),
      skill,
      {
        strikeout: atBat.strikeout,
        missedDead: atBat.missDead,
        leadRunnerOut: atBat.missDeadValue,
        popOut: atBat.popOut,
        popDouble: atBat.popDouble,
        swing: atBat.committed ? null : (atBat.swing as [number, number, number]),
      },
      atBat.strikes as Strikes,
    );
    for (const [strikes, value] of given.valueByStrikes.entries()) {
      near(
        priced.byStrikes[strikes] ?? 0,
        value,
        tolerance.valueByStrikes,
        `strikes ${String(strikes)}`,
      );
    }
    near(priced.best.value, given.best.ev, tolerance.ev, 'best');
    const at = (theta: number, speed: number): PricedAim => {
      const found = priced.aims.find(
        (aim) => Math.abs(aim.degrees - theta) < 1e-6 && Math.abs(aim.speed - speed) < 1e-4,
      );
      if (!found) throw new Error(`no aim at ${String(theta)}/${String(speed)}`);
      return found;
    };
    for (const cell of [given.best, given.textbookAim.cell]) {
      const aim = at(cell.theta, cell.speed);
      const what = `${given.name} ${String(cell.theta)}`;
      near(aim.rollFeet, cell.roll, 1e-5, `${what} roll`);
      near(aim.fair, cell.pFair, tolerance.prob, `${what} fair`);
      near(aim.foul, cell.pFoul, tolerance.prob, `${what} foul`);
      near(aim.fairValue, cell.evFair, tolerance.ev, `${what} fair value`);
      near(aim.value, cell.ev, tolerance.ev, `${what} value`);
      near(aim.leadOut, cell.lead, tolerance.prob, `${what} lead`);
      near(aim.batterOut, cell.batter, tolerance.prob, `${what} batter`);
      near(1 - aim.batterOut, cell.safeBat, tolerance.prob, `${what} safe`);
      near(aim.doublePlay, cell.dbl, tolerance.prob, `${what} double`);
    }
    const { theta, roll } = given.textbookAim.wanted;
    const nearest = (of: (aim: PricedAim) => number, wanted: number): number =>
      Math.min(...priced.aims.map((aim) => Math.abs(of(aim) - wanted)));
    expect(Math.abs(given.textbookAim.cell.theta - theta)).toBeCloseTo(
      nearest((aim) => aim.degrees, theta),
      6,
    );
    expect(Math.abs(given.textbookAim.cell.roll - roll)).toBeCloseTo(
      nearest((aim) => aim.rollFeet, roll),
      3,
    );
  });
});
