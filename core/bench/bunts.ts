import {
  alignmentOf,
  BUNT_FIGURES,
  gridOf,
  planBunt,
  skillOf,
  type BuntPlay,
  type BuntQuestion,
} from '../src/bunts/index.ts';
import {
  BASES_FIGURES,
  bestBow,
  habitsOf,
  planSend,
  sendRace,
  lastStop,
  usualOutfieldSpot,
  type SendQuestion,
} from '../src/bases/index.ts';
import { byRuns, PLAY_LEVELS, runExpectancies, chainOf } from '../src/innings/index.ts';
import { PRESETS } from '../src/rules/index.ts';
import { figuresAt } from '../src/timing/index.ts';
import { placeOfBag } from '../src/units/index.ts';
import { medianMs, onceMs, type Print } from './median.ts';

const GAIT = { topSpeed: 27, accelerationSeconds: 0.75 };
const RUNNERS = { 1: GAIT, 2: GAIT, 3: GAIT };
const SENDS = 200;
const MAPS = [
  ['first', 1, 'sacrifice'],
  ['second', 2, 'sacrifice'],
  ['first-second', 3, 'sacrifice'],
  ['squeeze', 4, 'suicide'],
  ['loaded-squeeze', 7, 'suicide'],
  ['safety', 4, 'safety'],
  ['hit', 0, 'hit'],
] as const satisfies readonly (readonly [string, number, BuntPlay])[];

/** Maps with their aims by state, a send with its band, the last stop, and the best turn. @public asked for by scripts/bench.mjs */
export function benchBunts(print: Print): void {
  const ruleset = PRESETS.fullSizeNine;
  const figures = figuresAt(BUNT_FIGURES, 'college', {});
  const level = PLAY_LEVELS.college;
  const value = byRuns([runExpectancies(chainOf(level))]);
  const question = (bases: number, play: BuntPlay): BuntQuestion => ({
    play,
    bases,
    outs: 0,
    strikes: 0,
    ruleset,
    figures,
    surface: 'dryGrass',
    alignment: alignmentOf('in', ruleset),
    pitcherThrows: 'right',
    batter: GAIT,
    runners: Object.fromEntries(
      Object.entries(RUNNERS).filter(([base]) => bases & (1 << (Number(base) - 1))),
    ),
    skill: skillOf(figures, play),
    breakSeconds: -0.1,
    value,
  });
  const first = question(1, 'sacrifice');
  // As it is for a coach who opens the page: nothing has run before.
  print(
    'bunt-first-30x20-cold',
    onceMs(() => planBunt(first, gridOf(first, 30, 20))),
    'ms',
  );
  for (const [, bases, play] of MAPS) {
    const asked = question(bases, play);
    for (let round = 0; round < 5; round += 1) planBunt(asked, gridOf(asked, 30, 20));
  }
  for (const [name, bases, play] of MAPS) {
    const asked = question(bases, play);
    for (const [columns, rows] of [
      [30, 20],
      [60, 40],
    ] as const) {
      const size = `${String(columns)}x${String(rows)}`;
      const grid = gridOf(asked, columns, rows);
      print(
        `bunt-${name}-${size}`,
        medianMs(5, () => planBunt(asked, grid)),
        'ms',
      );
    }
  }
  const bases = figuresAt(BASES_FIGURES, 'college', {});
  const send: SendQuestion = {
    send: 'secondToHome',
    bases: 2,
    outs: 1,
    ruleset,
    figures: bases,
    degrees: 70,
    hit: 'medium',
    outfielderAt: usualOutfieldSpot('LF', bases),
    approach: 'charging',
    bobbled: null,
    armMph: 84,
    cutoff: true,
    habits: habitsOf([], bases.bobbles),
    runner: GAIT,
    value,
  };
  const { play, runSeconds } = planSend(send);
  const stakes = { out: 0.9, trail: 0.12 };
  print(
    'send-with-band',
    medianMs(9, () => {
      for (let nth = 0; nth < SENDS; nth += 1) {
        for (const late of [-0.2, 0, 0.2]) sendRace(runSeconds + late, play, stakes, bases);
      }
    }) / SENDS,
    'ms',
  );
  const runner = { ...GAIT, leadFeet: 18, startSpeed: 5, readSeconds: 0.2 };
  print(
    'last-stop',
    medianMs(9, () => lastStop(runner, 'controlled', play, placeOfBag(3, 90), 90, 'alert', bases)),
    'ms',
  );
  const limits = { ...GAIT, sideGrip: bases.sideGrip, brake: bases.turnBrake };
  print(
    'best-turn',
    medianMs(3, () => bestBow({ baseFeet: 90, leadFeet: 0, depthFeet: 0 }, limits, 0, 18)),
    'ms',
  );
}
