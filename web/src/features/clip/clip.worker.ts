import { envelopeOf, luminanceOf, motionBetween, onsetsOf, type Onset } from '@bradyon/core/ear';
import { expose } from 'comlink';

/** The picture before, of the clip that is being looked through. */
let before: Uint8Array | null = null;
let canvas: OffscreenCanvas | null = null;

/** What is too heavy to stand beside a clip that plays. */
const heavy = {
  hear: (
    samples: Float32Array,
    sampleRate: number,
    points: number,
  ): { onsets: Onset[]; envelope: number[] } => ({
    onsets: onsetsOf(samples, sampleRate),
    envelope: envelopeOf(samples, points),
  }),
  /** How much a picture differs from the one given before it; 0 for the first. */
  look: (picture: ImageBitmap, isFirst: boolean): number => {
    if (canvas?.width !== picture.width || canvas.height !== picture.height) {
      canvas = new OffscreenCanvas(picture.width, picture.height);
    }
    const pen = canvas.getContext('2d', { willReadFrequently: true });
    if (!pen) throw new Error('no canvas');
    pen.drawImage(picture, 0, 0);
    const { data } = pen.getImageData(0, 0, picture.width, picture.height);
    picture.close();
    const now = luminanceOf(data);
    const motion = isFirst || before === null ? 0 : motionBetween(before, now);
    before = now;
    return motion;
  },
};
export type Heavy = typeof heavy;

expose(heavy);
