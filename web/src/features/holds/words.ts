import type { Holding, HoldEnd, PlannedHold, Readable } from '@bradyon/core/holds';
import { percent, seconds } from '../../ui/index.ts';

/** "They go: 84% safe. A slide step makes it 58%. Deliver in 1.31 s or quicker." */
export function answerText({
  legLift,
  slideStep,
  pitchOut,
  takes,
  deliverSeconds,
}: Holding): string {
  const deliver =
    deliverSeconds === null || deliverSeconds <= 0
      ? ''
      : ` Deliver in ${seconds(Math.floor(deliverSeconds * 100) / 100)} or quicker.`;
  const slide = slideStep ? ` A slide step makes it ${percent(slideStep.chance)}.` : '';
  switch (takes) {
    case 'asWeAre':
      return `They stay: ${percent(legLift.chance)} safe.${deliver}`;
    case 'slideStep':
      return `They go: ${percent(legLift.chance)} safe.${slide}${deliver}`;
    case 'pitchOut':
      return `They go: ${percent(legLift.chance)} safe. A pitch-out makes it ${percent(pitchOut.chance)}.${deliver}`;
    case 'cannot':
      return `They go: ${percent(legLift.chance)} safe. We cannot stop them with what we have.${slide}`;
  }
}

/** What it takes, where the chance itself stands beside it. "A slide step holds them: 58% safe." */
export function takesText({ takes, slideStep, pitchOut }: Holding): string {
  switch (takes) {
    case 'asWeAre':
      return 'We hold them as we are.';
    case 'slideStep':
      return `A slide step holds them: ${percent(slideStep?.chance ?? 0)} safe.`;
    case 'pitchOut':
      return `Only a pitch-out holds them: ${percent(pitchOut.chance)} safe.`;
    case 'cannot':
      return 'We cannot stop them with what we have.';
  }
}

export const TAKES_TEXT: Record<Holding['takes'], string> = {
  asWeAre: 'As we are',
  slideStep: 'Slide step',
  pitchOut: 'Pitch-out',
  cannot: 'Cannot stop',
};

export const END_TEXT: Record<HoldEnd, string> = {
  pitch: 'Pitch',
  pitchOut: 'Pitch-out',
  throwOver: 'Throw over',
  stepOff: 'Step off',
};

/** What a runner who counts makes of holds. */
export function readableText({ word, atSeconds, share, holds }: Readable): string {
  const counted = `${String(holds)} holds timed.`;
  if (word === 'cannot') return `Cannot be timed. ${counted}`;
  const moment = `about ${seconds(atSeconds)}, ${percent(share)} of what is left`;
  return word === 'can'
    ? `Can be timed: at ${moment}. ${counted}`
    : `Can be timed somewhat: at ${moment}. ${counted}`;
}

export function looksText(looks: number): string {
  return looks === 0 ? 'No look' : looks === 1 ? '1 look' : '2 looks';
}

/** "1 in 9". */
export function oneIn(share: number): string {
  return `1 in ${String(Math.round(1 / share))}`;
}

/** A hold as long as this is called as one: a catcher who expects a pitch would ask for it. Seconds. */
const LONG_SECONDS = 3;

/** What the bench calls to the catcher for a hold, in the words of the pickoff series; null: nothing on. */
export function seriesPlay(
  { ends, seconds }: Pick<PlannedHold, 'ends' | 'seconds'>,
  takes: Holding['takes'],
): string | null {
  if (ends === 'throwOver') return 'throwFirst';
  if (ends === 'pitchOut') return 'pitchOut';
  if (seconds >= LONG_SECONDS) return 'longHold';
  return takes === 'slideStep' && ends === 'pitch' ? 'slideStep' : null;
}
