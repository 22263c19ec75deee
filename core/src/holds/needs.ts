import { judgeSteal, type Judging, type Steal, type StealQuestion } from '../steals/index.ts';

/** What it takes of us that their runner stays. */
type Takes = 'asWeAre' | 'slideStep' | 'pitchOut' | 'cannot';

/** Their runner against our battery, by what we do. Chances to be safe, 0..1; seconds. */
export interface Holding {
  legLift: Steal;
  /** null: nobody leads off, so there is no slide step to speak of. */
  slideStep: Steal | null;
  pitchOut: Steal;
  takes: Takes;
  /** They stay if we deliver in this or quicker; null: throws that get away are enough for them. */
  deliverSeconds: number | null;
  /** ...or if the throw takes this or less, as we deliver now. */
  popSeconds: number | null;
}

/**
 * The race with the sides changed: the same question, asked by those in the field.
 * @param question our pitcher and catcher, their runner; the style in it plays no part
 * @param judging the usual pitches and the chance they need
 * @param onPitchOut the same with a pitch-out
 */
export function holding(question: StealQuestion, judging: Judging, onPitchOut: Judging): Holding {
  const { needed } = judging;
  const isOpen = question.field.ruleset.leadRule === 'open';
  const legLift = judgeSteal({ ...question, style: 'legLift' }, judging);
  const slideStep = isOpen ? judgeSteal({ ...question, style: 'slideStep' }, judging) : null;
  const pitchOut = judgeSteal({ ...question, style: 'legLift' }, onPitchOut);
  const { pitch, pop } = legLift.legs;
  const { lacksSeconds } = legLift;
  return {
    legLift,
    slideStep,
    pitchOut,
    takes:
      legLift.chance < needed
        ? 'asWeAre'
        : slideStep && slideStep.chance < needed
          ? 'slideStep'
          : pitchOut.chance < needed
            ? 'pitchOut'
            : 'cannot',
    deliverSeconds:
      lacksSeconds === null || !pitch ? null : pitch.spread.meanSeconds + lacksSeconds,
    popSeconds: lacksSeconds === null || !pop ? null : pop.spread.meanSeconds + lacksSeconds,
  };
}
