import {
  luminanceOf,
  makeEar,
  makeSound,
  motionBetween,
  type MadeNoise,
} from '../src/ear/index.ts';
import { medianMs, type Print } from './median.ts';

const RATE = 48_000;
const SCENES = 4;
const SCENE_SECONDS = 40;
const BURSTS = 18;
/** What is heard within this of a burst is that burst. */
const SAME_SECONDS = 0.02;
const WIDTH = 160;
const HEIGHT = 90;

/** How well the ear hears at three noise levels, against the thumb's own .05 s, and what it costs. @public asked for by scripts/bench.mjs */
export function benchEar(print: Print): void {
  for (const noise of ['pink', 'crowd', 'wind', 'bus'] as const) {
    for (const overDb of [20, 10, 6]) {
      const { errors, missed, falseOnes, falseSure } = heardIn(noise, overDb);
      const name = `ear-${noise}-${String(overDb)}dB`;
      errors.sort((a, b) => a - b);
      const at = (share: number): number => errors[Math.floor(share * errors.length)] ?? 0;
      if (errors.length > 0) {
        print(`${name}-error-median`, 1000 * at(0.5), 'ms');
        print(`${name}-error-p95`, 1000 * at(0.95), 'ms');
      }
      print(`${name}-missed`, (100 * missed) / (SCENES * BURSTS), '%');
      print(`${name}-false`, (60 * falseOnes) / (SCENES * SCENE_SECONDS), 'a minute');
      print(`${name}-false-and-sure`, (60 * falseSure) / (SCENES * SCENE_SECONDS), 'a minute');
    }
  }

  const second = makeSound({ seed: 1, seconds: 1, noise: 'pink', bursts: [] });
  const ear = makeEar(RATE);
  const ms = medianMs(20, () => {
    for (let at = 0; at < second.length; at += 128) ear.hear(second.subarray(at, at + 128));
  });
  print('ear-share-of-a-core', ms / 10, '%');

  const frames = [0, 1].map((seed) =>
    Uint8ClampedArray.from({ length: 4 * WIDTH * HEIGHT }, (_, at) => (at * (7 + seed)) % 256),
  ) as [Uint8ClampedArray, Uint8ClampedArray];
  const perFrame = medianMs(50, () => {
    motionBetween(luminanceOf(frames[0]), luminanceOf(frames[1]));
  });
  print('motion-trace', 2000 / perFrame, 'frames/s');
}

function heardIn(noise: MadeNoise, overDb: number) {
  const found = { errors: [] as number[], missed: 0, falseOnes: 0, falseSure: 0 };
  for (let seed = 1; seed <= SCENES; seed += 1) {
    const bursts = Array.from({ length: BURSTS }, (_, nth) => ({
      atSeconds: 2 + 2 * nth + ((0.137 * seed + 0.0777 * nth) % 0.5),
      overDb,
    }));
    const ear = makeEar(RATE);
    const heard = ear.hear(makeSound({ seed, seconds: SCENE_SECONDS, noise, bursts }));
    const isIts = (at: number): boolean =>
      bursts.some(({ atSeconds }) => Math.abs(at - atSeconds) < SAME_SECONDS);
    for (const { atSeconds } of bursts) {
      const its = heard.find((each) => Math.abs(each.atSeconds - atSeconds) < SAME_SECONDS);
      if (its) found.errors.push(Math.abs(its.atSeconds - atSeconds));
      else found.missed += 1;
    }
    for (const { atSeconds, isSure } of heard) {
      if (isIts(atSeconds)) continue;
      found.falseOnes += 1;
      if (isSure) found.falseSure += 1;
    }
  }
  return found;
}
