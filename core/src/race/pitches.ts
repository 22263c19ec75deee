/** What the pitcher may throw, as far as it matters to a runner. */
export const PITCHES = ['fastball', 'breaking', 'changeup', 'pitchout'] as const;
export type Pitch = (typeof PITCHES)[number];

/** What a pitch does to the race against a fastball. Seconds; wild in shares. */
export interface PitchEffect {
  deliverySeconds: number;
  popSeconds: number;
  /** How much less even the times are (standard deviation, added as squares). */
  sdSeconds: number;
  /** How much more often the throw goes away. */
  wild: number;
}

/** Agreed. A pitch in the dirt or off speed takes longer; a pitch-out is thrown to be thrown on. */
export const PITCH_EFFECTS: Record<Pitch, PitchEffect> = {
  fastball: { deliverySeconds: 0, popSeconds: 0, sdSeconds: 0, wild: 0 },
  breaking: { deliverySeconds: 0.08, popSeconds: 0.04, sdSeconds: 0.03, wild: 0.05 },
  changeup: { deliverySeconds: 0.06, popSeconds: 0.02, sdSeconds: 0.02, wild: 0.03 },
  pitchout: { deliverySeconds: -0.02, popSeconds: -0.12, sdSeconds: 0, wild: -0.03 },
};

/** A pitch that may come, and how often. */
export interface WeightedPitch extends PitchEffect {
  pitch: Pitch;
  /** Above 0; they need not add up. */
  weight: number;
}

/** A fastball and nothing else, as the times were taken. */
export const FASTBALL: readonly WeightedPitch[] = [
  { pitch: 'fastball', weight: 1, ...PITCH_EFFECTS.fastball },
];

/** Balls and strikes. */
export interface Count {
  balls: number;
  strikes: number;
}

/** How often a pitcher throws his fastball: over all, and by balls and strikes. Judgement. */
const FASTBALLS_OVER_ALL = 0.6;
const FASTBALLS: readonly (readonly [number, number, number])[] = [
  [0.62, 0.52, 0.45],
  [0.66, 0.56, 0.48],
  [0.78, 0.66, 0.52],
  [0.92, 0.82, 0.68],
];
/** Of the rest, three in four are breaking balls. Judgement. */
const BREAKING_OF_THE_REST = 0.75;

/** How often each pitch comes on a count; over all where none is given. */
export function pitchMix(count: Count | null): Record<Exclude<Pitch, 'pitchout'>, number> {
  const fastball = count ? FASTBALLS[count.balls]?.[count.strikes] : FASTBALLS_OVER_ALL;
  if (fastball === undefined)
    throw new RangeError('pitchMix needs 0 to 3 balls and 0 to 2 strikes');
  const breaking = (1 - fastball) * BREAKING_OF_THE_REST;
  return { fastball, breaking, changeup: 1 - fastball - breaking };
}

/** What a coach expects: one pitch, or whatever comes on this count (null: on any). */
export type Expected = { pitch: Pitch } | { count: Count | null };

/**
 * The pitches to race against. Deliveries and pops were timed over whatever was thrown, so effects
 * are against the usual mix, not against a fastball: else off-speed would count twice.
 */
export function pitchesFor(expected: Expected): WeightedPitch[] {
  const usual = Object.entries(pitchMix(null)) as [Pitch, number][];
  const average = (part: 'deliverySeconds' | 'popSeconds'): number =>
    usual.reduce((sum, [pitch, share]) => sum + share * PITCH_EFFECTS[pitch][part], 0);
  const shares: [Pitch, number][] =
    'pitch' in expected
      ? [[expected.pitch, 1]]
      : (Object.entries(pitchMix(expected.count)) as [Pitch, number][]);
  return shares.map(([pitch, weight]) => ({
    ...PITCH_EFFECTS[pitch],
    pitch,
    weight,
    deliverySeconds: PITCH_EFFECTS[pitch].deliverySeconds - average('deliverySeconds'),
    popSeconds: PITCH_EFFECTS[pitch].popSeconds - average('popSeconds'),
  }));
}
