/** One step of taking a lead: which foot, and where it comes down. */
export interface Step {
  foot: 'right' | 'left';
  /** From the bag's edge along the line, feet. */
  feet: number;
}

/** Hips are over the middle of a square stance this wide. */
const STANCE_FEET = 3;
/** Right, left, square takes him so far; the rest he creeps. Judgement. */
const FIRST_STEPS_FEET = 9;
const CREEP_FEET = 1;

/**
 * The steps to a primary lead: right, left, square to the pitcher, then replace and replace until he
 * is there. His eyes stay on the pitcher once a foot has left the bag.
 * @param leadFeet bag edge to hips, above 0
 */
export function stepsToLead(leadFeet: number): Step[] {
  if (!(leadFeet > 0)) throw new RangeError('stepsToLead needs a lead above 0 ft');
  const half = STANCE_FEET / 2;
  const squareAt = Math.min(leadFeet, FIRST_STEPS_FEET);
  const steps: Step[] = [
    { foot: 'right', feet: squareAt / 2 },
    { foot: 'left', feet: Math.max(0, squareAt - half) },
    { foot: 'right', feet: squareAt + half },
  ];
  for (let hips = squareAt; hips < leadFeet - 1e-9;) {
    hips = Math.min(leadFeet, hips + CREEP_FEET);
    steps.push({ foot: 'right', feet: hips + half }, { foot: 'left', feet: hips - half });
  }
  return steps;
}

/** Walking off third: right, left, right, each step so long and so far. Judgement. */
const WALK_STEP_SECONDS = 0.38;
const WALK_STEP_FEET = 2.6;
const WALK_STEPS = 3;
/** He walks when he lands. */
const WALK_SPEED = 5;
const BEFORE_MITT_SECONDS = 0.04;

/** The walking steps off third, on the clock of the pitcher's first move. */
export interface Walk {
  steps: (Step & { landsSeconds: number })[];
  startSeconds: number;
  endFeet: number;
  speedAtLanding: number;
  /** The delivery is too quick for three full steps after the first move: start with it, or take fewer. */
  beforeFirstMove: boolean;
}

/**
 * Three walking steps off third, right, left, right, the last landing on the right foot as the ball
 * reaches the plate: from there both home and the dive back are open.
 * @param deliverySeconds first move to mitt, above 0
 * @param floatFeet his lead before he walks, not negative
 */
export function walkOffThird(deliverySeconds: number, floatFeet: number): Walk {
  if (!(deliverySeconds > 0) || !(floatFeet >= 0)) {
    throw new RangeError('walkOffThird needs a delivery above 0 s and a lead from 0 ft');
  }
  const startSeconds = deliverySeconds - BEFORE_MITT_SECONDS - WALK_STEPS * WALK_STEP_SECONDS;
  return {
    startSeconds,
    steps: Array.from({ length: WALK_STEPS }, (_, index) => ({
      foot: index % 2 === 0 ? 'right' : 'left',
      feet: floatFeet + (index + 1) * WALK_STEP_FEET,
      landsSeconds: startSeconds + (index + 1) * WALK_STEP_SECONDS,
    })),
    endFeet: floatFeet + WALK_STEPS * WALK_STEP_FEET,
    speedAtLanding: WALK_SPEED,
    beforeFirstMove: startSeconds < 0,
  };
}
