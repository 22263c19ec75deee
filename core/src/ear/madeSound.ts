import { makeRandom, normalDraw, type Random } from '../maths/index.ts';
import { makeBand } from './band.ts';

/** What is heard besides: pink noise, or with people talking, wind or a passing bus in it as well. */
export type MadeNoise = 'pink' | 'crowd' | 'wind' | 'bus';

/** A sharp sound at a known instant. */
export interface MadeBurst {
  atSeconds: number;
  /** How far its loudest moment stands over the noise in the band just there, dB. */
  overDb: number;
}

const NOISE_LEVEL = 0.01;
const RISE_SECONDS = 0.0006;
const BURST_SECONDS = 0.05;
const QUANTUM_SECONDS = 128 / 48_000;
/** "Just there": in a gust it takes more to stand out than between two. */
const AROUND_SECONDS = 0.25;

/**
 * Made sound with bursts in it, for tests and benches: a burst of noise that rises in .6 ms and dies
 * away in 4 to 9 ms.
 * @returns samples from -1 to 1
 */
export function makeSound({
  seed,
  seconds,
  noise,
  bursts,
  sampleRate = 48_000,
}: {
  seed: number;
  seconds: number;
  noise: MadeNoise;
  bursts: readonly MadeBurst[];
  sampleRate?: number;
}): Float32Array<ArrayBuffer> {
  const random = makeRandom(seed);
  const length = Math.round(seconds * sampleRate);
  const sound = new Float32Array(length);
  NOISES[noise](sound, sampleRate, random);
  const noiseAround = noiseIn(sound, sampleRate);
  for (const { atSeconds, overDb } of bursts) {
    const burst = makeBurst(random, sampleRate);
    const first = Math.round(atSeconds * sampleRate);
    const wanted = noiseAround(first) * 10 ** (overDb / 10);
    const scale = Math.sqrt(wanted / loudestInBand(burst, sampleRate));
    for (const [nth, sample] of burst.entries()) {
      const at = first + nth;
      if (at < length) sound[at] = (sound[at] ?? 0) + scale * sample;
    }
  }
  return sound;
}

function makeBurst(random: Random, sampleRate: number): Float32Array {
  const decay = 0.004 + 0.005 * random();
  return Float32Array.from({ length: Math.round(BURST_SECONDS * sampleRate) }, (_, nth) => {
    const seconds = nth / sampleRate;
    const shape =
      seconds < RISE_SECONDS ? seconds / RISE_SECONDS : Math.exp(-(seconds - RISE_SECONDS) / decay);
    return shape * normalDraw(random, 0, 1);
  });
}

/** White noise made pink by a sum of leaky ones. */
function pinkNoise(random: Random): () => number {
  const poles = [0.99765, 0.963, 0.57] as const;
  const gains = [0.099046, 0.2965164, 1.0526913] as const;
  const states = [0, 0, 0];
  return () => {
    const white = normalDraw(random, 0, 1);
    let sum = white * 0.1848;
    for (let nth = 0; nth < 3; nth += 1) {
      states[nth] = (poles[nth] ?? 0) * (states[nth] ?? 0) + white * (gains[nth] ?? 0);
      sum += states[nth] ?? 0;
    }
    return sum / 4;
  };
}

function addPink(sound: Float32Array, level: number, random: Random): void {
  const pink = pinkNoise(random);
  for (let at = 0; at < sound.length; at += 1) sound[at] = (sound[at] ?? 0) + level * pink();
}

const VOICES = 8;
const SYLLABLES_A_SECOND = 4;
/** Voices: a buzz with its overtones, a hiss now and then, in syllables. */
function addCrowd(sound: Float32Array, sampleRate: number, random: Random): void {
  for (let voice = 0; voice < VOICES; voice += 1) {
    const hz = 100 + 130 * random();
    const pace = SYLLABLES_A_SECOND * (0.7 + 0.6 * random());
    const start = random() * 2 * Math.PI;
    let [shape, target, hiss] = [0, 1, 0];
    for (let at = 0; at < sound.length; at += 1) {
      const seconds = at / sampleRate;
      if (at % Math.round(sampleRate / pace) === 0) {
        target = random() < 0.7 ? random() : 0;
        hiss = random() < 0.3 ? 0.5 : 0.03;
      }
      // A voice takes about 25 ms to rise: that is what tells it from a mitt.
      shape += (target - shape) * (1 / (0.025 * sampleRate));
      let buzz = 0;
      for (const overtone of [1, 3, 8, 14, 22]) {
        buzz += Math.sin(2 * Math.PI * hz * overtone * seconds + start * overtone) / overtone;
      }
      const wave = buzz + hiss * normalDraw(random, 0, 1);
      sound[at] = (sound[at] ?? 0) + (NOISE_LEVEL * shape * wave) / 2;
    }
  }
}

const NOISES: Record<MadeNoise, (sound: Float32Array, sampleRate: number, random: Random) => void> =
  {
    pink: (sound, _rate, random) => {
      addPink(sound, NOISE_LEVEL, random);
    },
    crowd: (sound, sampleRate, random) => {
      addPink(sound, NOISE_LEVEL / 3, random);
      addCrowd(sound, sampleRate, random);
    },
    wind: (sound, sampleRate, random) => {
      addPink(sound, NOISE_LEVEL / 2, random);
      // Gusts: deep, and far louder than all else.
      let [gust, rumble] = [0, 0];
      for (let at = 0; at < sound.length; at += 1) {
        gust += (normalDraw(random, 0, 1) - gust) / (0.5 * sampleRate);
        rumble += (normalDraw(random, 0, 1) - rumble) * ((2 * Math.PI * 120) / sampleRate);
        sound[at] = (sound[at] ?? 0) + rumble * (0.1 + 20 * Math.abs(gust));
      }
    },
    bus: (sound, sampleRate, random) => {
      const pink = pinkNoise(random);
      for (let at = 0; at < sound.length; at += 1) {
        // It comes within four seconds, stays as long, and is gone.
        const seconds = at / sampleRate;
        const near = Math.exp(-(((seconds - sound.length / sampleRate / 2) / 3) ** 4));
        sound[at] = NOISE_LEVEL * (1 + 14 * near) * pink();
      }
    },
  };

/** The power of the noise in the band around a sample. */
function noiseIn(sound: Float32Array, sampleRate: number): (at: number) => number {
  const band = makeBand(sampleRate);
  const upTo = new Float64Array(sound.length + 1);
  for (const [at, sample] of sound.entries()) upTo[at + 1] = (upTo[at] ?? 0) + band(sample) ** 2;
  const around = Math.round(AROUND_SECONDS * sampleRate);
  return (at) => {
    const from = Math.max(0, Math.min(at, sound.length) - around);
    const to = Math.min(sound.length, at + around);
    return to > from ? ((upTo[to] ?? 0) - (upTo[from] ?? 0)) / (to - from) : 0;
  };
}

/** The loudest render quantum of a burst, in the band. */
function loudestInBand(burst: Float32Array, sampleRate: number): number {
  const band = makeBand(sampleRate);
  const powers = Float64Array.from(burst, (sample) => band(sample) ** 2);
  const size = Math.round(QUANTUM_SECONDS * sampleRate);
  let loudest = 0;
  let sum = 0;
  for (let at = 0; at < powers.length; at += 1) {
    sum += (powers[at] ?? 0) - (powers[at - size] ?? 0);
    loudest = Math.max(loudest, sum / size);
  }
  return loudest;
}
