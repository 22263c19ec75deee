import { longestLead } from '../src/leads/index.ts';
import { makeRandom, normalDraw, type Random } from '../src/maths/index.ts';
import {
  chanceAt,
  chanceSafe,
  pitchesFor,
  readyRace,
  secondsNeeded,
  type Race,
} from '../src/race/index.ts';
import { PRESETS } from '../src/rules/index.ts';
import { populationsOf, runnerOf, typicalTime, type Conditions } from '../src/sprint/index.ts';
import { judgeSteal, raceOf, type Judging, type StealQuestion } from '../src/steals/index.ts';
import {
  DELIVERY_STYLES,
  LEVELS,
  plainContext,
  type ReadingContext,
  type DoubtfulSpread,
} from '../src/timing/index.ts';
import { TARGET_BASES } from '../src/units/index.ts';
import { aReading } from '../test/aReading.ts';
import { medianMs, type Print } from './median.ts';

const field: Conditions = { level: LEVELS.hs, ruleset: PRESETS.fullSizeSeven };
const judging: Judging = { pitches: pitchesFor({ count: null }), needed: 0.8 };
const RUNNERS = 20;
const BATTERIES = 6;
const DRAWS = 200_000;
/** What the closed form is off by, at most, and what draws therefore have to reach. */
const PRECISION = 2e-4;

/** One race, one threshold, the board, the safe lead, and the race by drawing lots instead. @public asked for by scripts/bench.mjs */
export function benchSteals(print: Print): void {
  const random = makeRandom(17);
  const somebody = (...contexts: ReadingContext[]) => {
    const person = { throws: 'right', bats: 'right' } as const;
    const readings = contexts.flatMap((context) => {
      const { mean, sdBetween, sdWithin } = typicalTime(context, person, field) ?? {
        mean: 2,
        sdBetween: 0.1,
        sdWithin: 0.05,
      };
      const own = normalDraw(random, mean, sdBetween);
      return Array.from({ length: 5 }, () =>
        aReading({ ...context, seconds: normalDraw(random, own, sdWithin + 0.03) }),
      );
    });
    return { person, populations: populationsOf(person, readings, field, new Map()) };
  };
  const runners = Array.from({ length: RUNNERS }, () => {
    const runner = somebody(
      { ...plainContext('steal'), base: 'second', leadFeet: 11.5 },
      plainContext('homeToFirst'),
    );
    return { ...runner, form: runnerOf(runner.person, runner.populations, field) };
  });
  const batteries = Array.from({ length: BATTERIES }, () => ({
    pitcher: somebody(
      { ...plainContext('delivery'), style: 'legLift' },
      { ...plainContext('delivery'), style: 'slideStep' },
    ),
    catcher: somebody(
      { ...plainContext('pop'), base: 'second' },
      { ...plainContext('pop'), base: 'third' },
    ),
  }));
  const [runner] = runners;
  const [battery] = batteries;
  if (!runner || !battery) throw new Error('nobody to race');
  const question: StealQuestion = {
    field,
    ...battery,
    base: 'second',
    kind: 'straight',
    style: 'legLift',
    runner,
    leadFeet: null,
    batter: null,
  };
  const race = raceOf(judgeSteal(question, judging).legs, field.level, judging.pitches);
  const ready = readyRace(race);
  const raceMs = medianMs(2000, () => void chanceSafe(race));
  print('one-race-with-its-interval', raceMs * 1000, 'us');
  print(
    'one-threshold',
    medianMs(2000, () => {
      secondsNeeded({ at: (shift) => chanceAt(ready, shift), floor: ready.wild }, 0.8);
    }) * 1000,
    'us',
  );

  const board = (
    bases = TARGET_BASES as readonly ('second' | 'third')[],
    styles = DELIVERY_STYLES as readonly ('legLift' | 'slideStep')[],
  ) => {
    for (const base of bases) {
      for (const style of styles) {
        for (const each of runners) {
          for (const { pitcher, catcher } of batteries) {
            judgeSteal({ ...question, base, style, runner: each, pitcher, catcher }, judging);
          }
        }
      }
    }
  };
  print(
    'board-of-20-x-6-x-2-bases-x-2-styles',
    medianMs(20, () => {
      board();
    }),
    'ms',
  );
  print(
    'board-of-20-x-6-as-shown',
    medianMs(40, () => {
      board(['second'], ['legLift']);
    }),
    'ms',
  );

  const throwing = { meanSeconds: 1.1, sdSeconds: 0.1 };
  const stance = { leadFeet: 11, corner: 'back', mode: 'twoWay', awaySpeed: 0 } as const;
  const toFirst = { stance, level: field.level, throwing, leftHander: false };
  print('longest-safe-lead', medianMs(500, () => void longestLead(toFirst, 0.02)) * 1000, 'us');

  let drawn = 0;
  const drawMs = medianMs(3, () => {
    drawn = byDrawing(race, random, DRAWS);
  });
  const closed = chanceAt(ready, 0);
  const needed = (closed * (1 - closed)) / PRECISION ** 2;
  print('race-closed-less-drawn', closed - drawn, 'chance');
  print('race-by-drawing-at-equal-precision', (drawMs * needed) / DRAWS, 'ms');
  print('race-drawing-to-closed', (drawMs * needed) / DRAWS / raceMs, 'ratio');
}

/** The same race by drawing lots. */
function byDrawing(race: Race, random: Random, draws: number): number {
  const { level, delivery, pop, run, jump, pitches = [] } = race;
  const { throws, tag } = level;
  let safe = 0;
  for (let draw = 0; draw < draws; draw += 1) {
    const pitch = pickOne(pitches, random);
    const wild = throws.wild + (pitch?.wild ?? 0);
    const lot = random();
    if (lot < wild) {
      safe += 1;
      continue;
    }
    const onLine = random() < throws.onLine / (throws.onLine + throws.offLine);
    const ball =
      drawFrom(delivery, random) +
      drawFrom(pop, random) +
      (pitch?.deliverySeconds ?? 0) +
      (pitch?.popSeconds ?? 0) +
      normalDraw(random, 0, pitch?.sdSeconds ?? 0) +
      (onLine
        ? normalDraw(random, tag.onLineSeconds, tag.onLineSdSeconds)
        : normalDraw(random, tag.offLineSeconds, tag.offLineSdSeconds));
    const runner = normalDraw(random, jump.meanSeconds, jump.sdSeconds) + drawFrom(run, random);
    if (ball > runner) safe += 1;
  }
  return safe / draws;
}

function pickOne<T extends { weight: number }>(
  choices: readonly T[],
  random: Random,
): T | undefined {
  let lot = random() * choices.reduce((sum, { weight }) => sum + weight, 0);
  return choices.find(({ weight }) => (lot -= weight) <= 0);
}

/** A Student t number of even freedom, by sums of exponentials. */
function drawFrom(spread: DoubtfulSpread | null, random: Random): number {
  if (spread === null) return 0;
  const { meanSeconds, sdSeconds, freedom } = spread;
  if (!Number.isFinite(freedom)) return normalDraw(random, meanSeconds, sdSeconds);
  const half = Math.max(3, Math.round(freedom / 2));
  let product = 1;
  for (let index = 0; index < half; index += 1) product *= 1 - random();
  const chi = -2 * Math.log(product);
  const scale = sdSeconds * Math.sqrt((2 * half - 2) / (2 * half));
  return meanSeconds + (normalDraw(random, 0, 1) * scale) / Math.sqrt(chi / (2 * half));
}
