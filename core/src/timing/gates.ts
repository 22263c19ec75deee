import { roundToMillisecond } from '../units/index.ts';

/** One beam of a run: where it stands from the base, and when it was broken; null: missed. */
export interface Beam {
  feet: number;
  seconds: number | null;
}

/** What a gate run gives. */
export interface GateSplits {
  /** Between neighbouring beams that both saw him, and from the first to the last. */
  splits: { fromFeet: number; toFeet: number; seconds: number }[];
  /** The beams that missed him, feet. */
  missedFeet: number[];
}

/**
 * What is wrong with a run as a device sent it: beams out of order, or time running backwards.
 * @returns null when it fits, else what to send
 */
export function describeBeamMisfit(beams: readonly Beam[]): string | null {
  if (beams.length < 2) return 'Send at least two beams.';
  let [feet, seconds] = [-1, -1];
  for (const beam of beams) {
    if (!(beam.feet > feet))
      return 'Send the beams in order along the path, each farther than the last.';
    feet = beam.feet;
    if (beam.seconds === null) continue;
    if (!(beam.seconds > seconds))
      return 'Send seconds that rise from beam to beam; null for a missed one.';
    seconds = beam.seconds;
  }
  return null;
}

/**
 * The splits of a run. What a missed beam would have given is left out, never guessed.
 * @param beams in order along the path, as describeBeamMisfit accepts them
 * @example splitsOfBeams([{ feet: 0, seconds: 0 }, { feet: 10, seconds: 0.9 }])
 * // { splits: [{ fromFeet: 0, toFeet: 10, seconds: 0.9 }], missedFeet: [] }
 */
export function splitsOfBeams(beams: readonly Beam[]): GateSplits {
  const split = (from: Beam | undefined, to: Beam | undefined): GateSplits['splits'] =>
    from === undefined || to === undefined || from.seconds === null || to.seconds === null
      ? []
      : [
          {
            fromFeet: from.feet,
            toFeet: to.feet,
            seconds: roundToMillisecond(to.seconds - from.seconds),
          },
        ];
  const neighbours = beams.slice(1).flatMap((beam, index) => split(beams[index], beam));
  const whole = beams.length > 2 ? split(beams[0], beams.at(-1)) : [];
  return {
    splits: [...neighbours, ...whole],
    missedFeet: beams.filter(({ seconds }) => seconds === null).map(({ feet }) => feet),
  };
}
