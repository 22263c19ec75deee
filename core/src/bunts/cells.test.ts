import { describe, expect, it } from 'vitest';
import { near, setupOf } from '../../test/bunts.ts';
import vectors from '../../vectors/field/bunt_cells.json';
import { BUNT_FIELDERS, interceptBunt, prepareBunt, resolveBunt, rollFeet } from './index.ts';

const { tolerance } = vectors;
describe('one fair bunt', () => {
  it('has all the cells of the figures computed elsewhere', () => {
    // The file says 48 of itself and holds 36.
    expect(vectors.cells.reduce((sum, { cells }) => sum + cells.length, 0)).toBe(36);
    expect(vectors.positions).toEqual(BUNT_FIELDERS);
  });

  it.each(vectors.cells)('is prepared as computed elsewhere: $name', (given) => {
    const ready = prepareBunt(setupOf(given.setup, vectors.RE24));
    near(ready.batterSeconds, given.tBatter, tolerance.t, 'batter');
    near(ready.valueAllSafe, given.valueAllSafe, 1e-9, 'all safe');
    near(ready.valueWild, given.valueWild, 1e-9, 'wild');
    near(ready.stake, given.spread, 1e-9, 'stake');
    expect(ready.options.map(({ bag, tag }) => ({ to: bag, tag }))).toEqual(
      given.options.map(({ to, tag }) => ({ to, tag })),
    );
    for (const [index, option] of given.options.entries()) {
      const own = ready.options[index];
      near(own?.runnerSeconds ?? 0, option.tRunner, tolerance.t, 'runner');
      near(own?.valueIfOut ?? 0, option.valueIfOut, 1e-9, 'out');
      if (option.valueIfTwoOut === null) expect(own?.valueIfTwoOut).toBeNull();
      else near(own?.valueIfTwoOut ?? Number.NaN, option.valueIfTwoOut, 1e-9, 'two out');
    }
  });

  it.each(vectors.cells)('comes to what was computed elsewhere: $name', (given) => {
    const ready = prepareBunt(setupOf(given.setup, vectors.RE24));
    for (const cell of given.cells) {
      const bunt = { degrees: cell.theta, speed: cell.v };
      const what = `${given.name} ${String(cell.theta)}/${String(cell.v)}`;
      near(rollFeet(cell.v, ready.ground), cell.roll, 1e-6, `${what} roll`);
      for (const { pos, t, x, y } of cell.intercepts) {
        const fielder = ready.fielders.find(({ position }) => position === pos);
        if (!fielder) throw new Error('no such fielder');
        const met = interceptBunt(bunt, fielder, ready.ground, ready.hands.reachFeet);
        near(met?.seconds ?? 0, t, tolerance.t, `${what} ${pos} t`);
        near(met?.at.x ?? 0, x, tolerance.xy, `${what} ${pos} x`);
        near(met?.at.y ?? 0, y, tolerance.xy, `${what} ${pos} y`);
      }
      const own = resolveBunt(bunt, ready);
      near(own.value, cell.ev, tolerance.ev, `${what} value`);
      for (const key of [
        'leadOut',
        'batterOut',
        'anyOut',
        'doublePlay',
        'wild',
        'noPlay',
      ] as const) {
        near(own[key], cell[key], tolerance.prob, `${what} ${key}`);
      }
      for (const position of BUNT_FIELDERS) {
        near(
          own.fieldedBy[position] ?? 0,
          cell.fieldedBy[position],
          tolerance.prob,
          `${what} by ${position}`,
        );
      }
      for (const bag of [1, 2, 3, 4] as const) {
        near(
          own.thrownTo[bag],
          cell.playAt[bag - 1] ?? 0,
          tolerance.prob,
          `${what} to ${String(bag)}`,
        );
      }
    }
  });
});
