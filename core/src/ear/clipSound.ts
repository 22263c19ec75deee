import { makeEar, type Onset } from './detector.ts';

/** The ear says nothing while it gets to know the noise: so much of the beginning is heard twice. */
const LISTEN_FIRST_SECONDS = 1.2;

/**
 * All sharp sounds of a clip, in order. What it knows of the noise at its beginning is its own beginning.
 * @param samples of one channel, -1 to 1
 * @param sampleRate samples a second, 16,000 or more
 */
export function onsetsOf(samples: Float32Array, sampleRate: number): Onset[] {
  const ear = makeEar(sampleRate);
  // Its beginning backward, as often as it takes, so that nothing jumps where the clip itself begins.
  const first = samples.subarray(0, Math.round(LISTEN_FIRST_SECONDS * sampleRate)).toReversed();
  let lead = 0;
  while (first.length > 0 && lead < LISTEN_FIRST_SECONDS * sampleRate) {
    ear.hear(first);
    lead += first.length;
  }
  return [...ear.hear(samples), ...ear.hear(new Float32Array(Math.round(0.02 * sampleRate)))]
    .map((onset) => ({ ...onset, atSeconds: onset.atSeconds - lead / sampleRate }))
    .filter(({ atSeconds }) => atSeconds >= 0 && atSeconds * sampleRate < samples.length);
}

/**
 * How loud each stretch of a clip is at its loudest, for drawing.
 * @param points how many stretches, 1 or more
 * @returns one figure a stretch, 0 to 1
 */
export function envelopeOf(samples: Float32Array, points: number): number[] {
  const stretch = samples.length / points;
  return Array.from({ length: points }, (_, nth) => {
    let loudest = 0;
    const end = Math.floor((nth + 1) * stretch);
    for (let at = Math.floor(nth * stretch); at < end; at += 1) {
      loudest = Math.max(loudest, Math.abs(samples[at] ?? 0));
    }
    return Math.min(1, loudest);
  });
}
