import { FEET_PER_METER, feetBetween, type Place } from '../units/index.ts';

/**
 * How fast sound is, ft/s: 331.3 m/s at 0 degrees Celsius, and with the root of the absolute temperature.
 * @param celsius air temperature, -40 to 55
 * @throws RangeError outside of that
 * @example speedOfSound(20) // 1126
 */
export function speedOfSound(celsius: number): number {
  if (!(celsius >= -40 && celsius <= 55)) {
    throw new RangeError('speedOfSound needs -40 to 55 degrees');
  }
  return 331.3 * Math.sqrt(1 + celsius / 273.15) * FEET_PER_METER;
}

/** Where the device hears from, and how warm the air is. */
export interface Stand {
  place: Place;
  celsius: number;
}

/** Where something sounds, and how far it may be from there, each way. Feet. */
export interface Source {
  place: Place;
  sdFeet: number;
}

/** How far a glove or a bat is from where its base is drawn, each way, feet. Judgement. */
export const AT_BASE_SD_FEET = 3;
/** How far an outfielder who comes in on a ball is from where they play, each way, feet. Judgement. */
export const IN_OUTFIELD_SD_FEET = 20;

/** How much later than it happened something is heard, seconds. */
export function lateBySeconds({ place }: Source, stand: Stand): number {
  return feetBetween(place, stand.place) / speedOfSound(stand.celsius);
}

/** How far a coach who sets a marker on a drawing may be off, each way, feet. Judgement. */
const STAND_SD_FEET = 6;
/** How well an onset's instant is known, seconds. Agreed; on made sound it is known better. */
const ONSET_SD_SECONDS = 0.005;

/**
 * How far a time between two sounds may be off, seconds (standard deviation): two onsets, two gloves,
 * and where he stands. Standing in line with both, a step to or fro changes both ways alike and hardly
 * counts; between them it counts twice.
 */
export function doubtBetween(first: Source, second: Source, { place, celsius }: Stand): number {
  const [a, b] = [towards(place, first.place), towards(place, second.place)];
  const feet = Math.hypot(
    STAND_SD_FEET * Math.hypot(a.x - b.x, a.y - b.y),
    first.sdFeet,
    second.sdFeet,
  );
  return Math.hypot(Math.SQRT2 * ONSET_SD_SECONDS, feet / speedOfSound(celsius));
}

/** How well the device's own delay is known, measured and not, seconds. Judgement. */
const DELAY_SD_SECONDS = { measured: 0.003, typical: 0.01 };
/** From the microphone to the program, where nobody has measured it, seconds. Judgement: 10 to 40 ms are seen. */
export const TYPICAL_DELAY_SECONDS = 0.025;

/**
 * The ear's share in a time that a thumb begins or ends, seconds (standard deviation): one onset, one
 * glove, where he stands and how long the device takes to hear.
 */
export function doubtBesideThumb(
  { sdFeet }: Source,
  { celsius }: Stand,
  delay: keyof typeof DELAY_SD_SECONDS,
): number {
  return Math.hypot(
    ONSET_SD_SECONDS,
    Math.hypot(STAND_SD_FEET, sdFeet) / speedOfSound(celsius),
    DELAY_SD_SECONDS[delay],
  );
}

/** How well a coach knows how far a camera was from what is heard in its clip, feet. Judgement. */
const CAMERA_SD_FEET = 8;
/** How well an onset's instant in a clip is known, seconds (standard deviation). Agreed. */
const CLIP_ONSET_SD_SECONDS = 0.003;
/** Clips are not asked how warm it was: 10 degrees move a sound from 60 ft away by .001 s. */
const CLIP_CELSIUS = 20;

/**
 * When something that is heard in a clip happened, and how far that may be off. Seconds of the clip.
 * @param onsetSeconds when it is heard, in a clip that runs as fast as it was
 * @param feet from the camera, 0 or more
 */
export function happenedAt(
  onsetSeconds: number,
  feet: number,
): { atSeconds: number; sdSeconds: number } {
  const speed = speedOfSound(CLIP_CELSIUS);
  return {
    atSeconds: onsetSeconds - feet / speed,
    sdSeconds: Math.hypot(CLIP_ONSET_SD_SECONDS, CAMERA_SD_FEET / speed),
  };
}

function towards(from: Place, to: Place): Place {
  // On the very spot there is no direction: sound from there is heard at once, wherever he leans.
  const feet = Math.max(0.1, feetBetween(from, to));
  return { x: (to.x - from.x) / feet, y: (to.y - from.y) / feet };
}
