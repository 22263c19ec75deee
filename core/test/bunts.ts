import { expect } from 'vitest';
import type { BuntSetup } from '../src/bunts/index.ts';
import type { Value } from '../src/innings/index.ts';
import { SPEED_PER_MPH } from '../src/race/index.ts';
import type { Bag } from '../src/units/index.ts';
import bunts from '../vectors/field/bunt_cells.json';

type VectorSetup = (typeof bunts.cells)[number]['setup'];

/** A table of runs by outs and bases, as the vectors give it. */
export function tableValue(table: readonly (readonly number[])[]): Value {
  return (bases, outs, runs) => runs + (outs >= 3 ? 0 : (table[outs]?.[bases] ?? Number.NaN));
}

/** A set-up of the vectors in the words of the core. */
export function setupOf(given: VectorSetup, table: readonly (readonly number[])[]): BuntSetup {
  const { field, timing, info, batter } = given;
  return {
    ground: { hopFeet: field.hop, keptSpeed: field.keep, slowing: field.decel },
    baseFeet: field.base,
    ball: field.ball as BuntSetup['ball'],
    fielders: given.fielders.map((fielder) => ({
      position: fielder.pos as BuntSetup['fielders'][number]['position'],
      at: { x: fielder.at[0] ?? 0, y: fielder.at[1] ?? 0 },
      reactSeconds: fielder.react,
      topSpeed: fielder.vmax,
      accelerationSeconds: fielder.tau,
      chargeSpeed: fielder.charge,
      throwSpeed: fielder.mph * SPEED_PER_MPH,
      covers: fielder.covers as Bag[],
      coverSeconds: fielder.coverDelay,
    })),
    runners: given.runners.map((runner) => ({
      from: runner.from as 1 | 2 | 3,
      leadFeet: runner.lead,
      startSpeed: runner.v0,
      delaySeconds: runner.delay,
      topSpeed: runner.vmax,
      accelerationSeconds: runner.tau,
    })),
    held: 0,
    outs: given.outs as 0 | 1 | 2,
    batter: {
      topSpeed: batter.vmax,
      accelerationSeconds: batter.tau,
      startSpeed: batter.v0,
      delaySeconds: batter.delay,
    },
    hands: {
      setSeconds: timing.set,
      rushSeconds: timing.rush,
      goodSet: timing.goodSet,
      goodRush: timing.goodRush,
      turnSeconds: timing.turn,
      reachFeet: timing.reach,
      tagSeconds: timing.tag,
      relaySeconds: timing.relay,
      stretchFeet: timing.stretch,
      thereSeconds: 0.3,
      relayGood: timing.dpGood,
      relaySdSeconds: timing.dpSd,
      carrySpeed: timing.carry,
      carrySeconds: timing.carryStart,
    },
    doubt: {
      fieldingSdSeconds: info.sE,
      runnerSdSeconds: info.sR,
      seenSdSeconds: info.sP,
      throwSdSeconds: info.sX,
      sureOut: info.sureOut,
      callShare: info.callT,
      callSeconds: info.callWindow,
      wild: info.wild,
    },
    value: tableValue(table),
  };
}

export function near(actual: number, expected: number, within: number, what: string): void {
  const off = Math.abs(actual - expected);
  expect(off, `${what}: ${String(actual)} for ${String(expected)}`).toBeLessThanOrEqual(within);
}
