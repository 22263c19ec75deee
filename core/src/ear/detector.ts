import { makeBand } from './band.ts';

/** Something sharp that was heard. */
export interface Onset {
  /** When, seconds of the sound's own clock. */
  atSeconds: number;
  /** Well over the noise; the other kind is heard, but not for sure. */
  isSure: boolean;
  /** How far over the noise it stands, dB. */
  overDb: number;
}

/** What the room sounds like in the band, as it is now. */
export interface Loudness {
  /** Of the last block, dB under the loudest the device can tell (0). */
  nowDb: number;
  /** What it is usually like here. */
  noiseDb: number;
  /** A sharp sound has to stand this much over `noiseDb` to be heard: the sensitivity sets itself. */
  neededDb: number;
  /** It still gets to know the noise, and says nothing. */
  isSettling: boolean;
  /** Much louder than it was: a bus, a plane, a mower. What hardly stands out of it is not heard. */
  isLoud: boolean;
}

export interface Ear {
  /**
   * Hears a block of samples, -1 to 1. An onset is told once enough is known of it, about 6 ms after it.
   * @param block any number of them
   */
  hear: (block: Iterable<number>) => Onset[];
  loudness: () => Loudness;
}

/** The stretch whose energy is one figure: a render quantum of a browser at 48 kHz. Seconds. */
const QUANTUM_SECONDS = 128 / 48_000;
/** How the usual level follows, dB a quantum: a bus that comes is known before it is here. Judgement, by made sound. */
const LEVEL_STEP = 0.05;
/** And its spread. Agreed. */
const SPREAD_STEP = 0.01;
const LEAST_SPREAD_DB = 1;
/** While it settles, the level has to come from anywhere. Judgement. */
const SETTLING_STEP = 0.25;
const SETTLING_SECONDS = 1;
/** An onset stands so many spreads over the level, and so much over what came just before. Agreed. */
const HEARD_SPREADS = 7;
const SURE_SPREADS = 9;
const RISE_DB = 7;
const BEFORE_SECONDS: [from: number, to: number] = [0.008, 0.04];
/** Two sounds nearer than this are one and its echo. Agreed. */
const REFRACTORY_SECONDS = 0.12;
/** Where in the sound it began is looked up in such pieces. Judgement, by made sound. */
const PIECE_SECONDS = 16 / 48_000;
/** It began with the first piece within so much of the peak and so much over the noise. Judgement, by made sound. */
const WITHIN_PEAK_DB = 10;
const OVER_NOISE_DB = 7;
/** It may have begun so many quanta before the one that is loud enough, and be at its peak so many after. */
const QUANTA_BACK = 3;
const QUANTA_AHEAD = 2;
/** Much louder than the quietest it was of late: a bus, a plane, a mower. Judgement. */
const LOUD_DB = 12;
/** "Of late": what was quiet is forgotten at this pace, dB a second. Judgement. */
const FORGET_DB_A_SECOND = 0.1;
const SILENCE = 1e-12;
/** No room is quieter to a microphone: after a device's own silence a breath is no mitt. Judgement. */
const LEAST_NOISE_DB = -85;

const decibels = (power: number): number => 10 * Math.log10(power + SILENCE);
const powerOf = (db: number): number => 10 ** (db / 10);

/**
 * Hears sharp sounds (a mitt, a glove, a bat) as they come. What it needs of the past is kept; nothing
 * is recorded.
 * @param sampleRate samples a second, 16,000 or more
 * @throws RangeError for fewer
 */
export function makeEar(sampleRate: number): Ear {
  const band = makeBand(sampleRate);
  const size = Math.round(QUANTUM_SECONDS * sampleRate);
  const quantum = size / sampleRate;
  const before = BEFORE_SECONDS.map((seconds) => Math.round(seconds / quantum)) as [number, number];
  const kept = Math.max(before[1] + 1, QUANTA_BACK + QUANTA_AHEAD + 1);
  /** Filtered samples and energies of the last quanta, in a ring. */
  const samples = new Float32Array(kept * size);
  const energies = new Float64Array(kept).fill(decibels(0));
  let filled = 0;
  /** Quanta heard whole. */
  let heard = 0;
  let level = { usual: 0, spread: LEAST_SPREAD_DB, quietest: Infinity };
  let lastOnset = -Infinity;
  /** The quantum that was loud enough, while what follows is waited for. */
  let found: { quantum: number; usual: number; spread: number } | null = null;

  const energyOf = (nth: number): number => energies[nth % kept] ?? decibels(0);
  const isSettling = (): boolean => heard * quantum < SETTLING_SECONDS;

  const follow = (energy: number): void => {
    if (heard === 0) level = { ...level, usual: energy };
    const off = energy - level.usual;
    const step = isSettling() ? SETTLING_STEP : LEVEL_STEP;
    const usual = Math.max(LEAST_NOISE_DB, level.usual + Math.sign(off) * step);
    const wider = Math.abs(off) > level.spread ? SPREAD_STEP : -SPREAD_STEP;
    level = {
      usual,
      spread: Math.max(LEAST_SPREAD_DB, level.spread + wider),
      quietest: isSettling()
        ? usual
        : Math.min(usual, level.quietest + FORGET_DB_A_SECOND * quantum),
    };
  };

  const isOnset = (energy: number): boolean => {
    if (isSettling() || found) return false;
    if ((heard - lastOnset) * quantum < REFRACTORY_SECONDS) return false;
    if (energy - level.usual <= HEARD_SPREADS * level.spread) return false;
    let loudest = -Infinity;
    for (let back = before[0]; back <= before[1]; back += 1) {
      loudest = Math.max(loudest, energyOf(heard - back + kept));
    }
    return energy >= loudest + RISE_DB;
  };

  /** Where a sound began, by its own rise. */
  const beginningOf = (quantumFound: number, usual: number): number => {
    const piece = Math.max(1, Math.round(PIECE_SECONDS * sampleRate));
    const first = (quantumFound - QUANTA_BACK) * size;
    const end = (quantumFound + QUANTA_AHEAD + 1) * size;
    const powers: number[] = [];
    for (let from = first; from + piece <= end; from += piece) {
      let sum = 0;
      for (let at = from; at < from + piece; at += 1) {
        sum += (samples[at % samples.length] ?? 0) ** 2;
      }
      powers.push(sum / piece);
    }
    const least = Math.max(
      Math.max(...powers) * powerOf(-WITHIN_PEAK_DB),
      powerOf(usual + OVER_NOISE_DB),
    );
    const began = powers.findIndex((power) => power >= least);
    return (first + Math.max(0, began) * piece) / sampleRate;
  };

  const settle = ({ quantum: at, usual, spread }: NonNullable<typeof found>): Onset => {
    let over = -Infinity;
    for (let nth = at; nth <= at + QUANTA_AHEAD; nth += 1)
      over = Math.max(over, energyOf(nth) - usual);
    return {
      atSeconds: beginningOf(at, usual),
      isSure: over > SURE_SPREADS * spread,
      overDb: over,
    };
  };

  /** The quantum that has just been filled. */
  const take = (onsets: Onset[]): void => {
    const slot = heard % kept;
    let sum = 0;
    for (let at = slot * size; at < (slot + 1) * size; at += 1) sum += (samples[at] ?? 0) ** 2;
    const energy = decibels(sum / size);
    energies[slot] = energy;
    if (isOnset(energy)) {
      found = { quantum: heard, usual: level.usual, spread: level.spread };
      lastOnset = heard;
    }
    follow(energy);
    if (found && heard === found.quantum + QUANTA_AHEAD) {
      onsets.push(settle(found));
      found = null;
    }
    heard += 1;
  };

  return {
    hear: (block) => {
      const onsets: Onset[] = [];
      for (const sample of block) {
        samples[(heard % kept) * size + filled] = band(sample);
        filled += 1;
        if (filled === size) {
          filled = 0;
          take(onsets);
        }
      }
      return onsets;
    },
    loudness: () => ({
      nowDb: energyOf(heard + kept - 1),
      noiseDb: level.usual,
      neededDb: HEARD_SPREADS * level.spread,
      isSettling: isSettling(),
      isLoud: !isSettling() && level.usual > level.quietest + LOUD_DB,
    }),
  };
}
