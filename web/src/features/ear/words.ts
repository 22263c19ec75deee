import type { EarPlanName, HeardChain } from '@bradyon/core/ear';
import { hundredths } from '../../ui/index.ts';
import { KIND_WORDS } from '../timing/index.ts';
import type { Trouble } from './microphone.ts';

export const PLAN_WORDS: Record<EarPlanName, string> = {
  pop: 'Pop',
  delivery: 'Delivery',
  battery: 'Both',
  flight: 'Flight',
  softballBattery: 'Both',
  outfieldThrow: 'Outfield',
  homeToFirst: 'To first',
};

/** Why nothing is heard, and what to do. The watch works all the same. */
export const TROUBLE_WORDS: Record<Trouble, string> = {
  noMicrophone:
    'This browser gives no microphone here. Open Bradyon over https, or time with the watch.',
  denied:
    'The microphone is not allowed. Allow it for this site in your browser’s settings, then start again.',
  none: 'No microphone found. Plug one in, then start again.',
  busy: 'Another app is using the microphone. Close it, then start again.',
  elsewhere: 'Another tab is already listening. Stop it there first.',
  lost: 'The microphone is gone. Plug it back in, then start again.',
  paused: 'Your device paused listening. Tap Go on.',
  failed: 'Listening did not start. Start again, or time with the watch.',
};

/** @example chainText(a chain) // 'Delivery 1.42, pop 2.08' */
export function chainText({ splits }: HeardChain): string {
  return splits
    .map(({ kind, seconds }, nth) => {
      const { name } = KIND_WORDS[kind];
      return `${nth === 0 ? name : name.toLowerCase()} ${hundredths(seconds)}`;
    })
    .join(', ');
}

const CELSIUS_STEP = 5 / 9;
const FREEZING_FAHRENHEIT = 32;

export function fahrenheit(celsius: number): number {
  return Math.round(celsius / CELSIUS_STEP + FREEZING_FAHRENHEIT);
}

export function celsius(fahrenheitDegrees: number): number {
  return (fahrenheitDegrees - FREEZING_FAHRENHEIT) * CELSIUS_STEP;
}

/** How much too long the raw difference is where the coach stands. @example wayText(.113) // '.11 s long' */
export function wayText(seconds: number): string {
  if (Math.abs(seconds) < 0.005) return 'The sound takes about as long from both places';
  const way = `${hundredths(Math.abs(seconds))}\u00a0s`;
  return seconds > 0
    ? `From here the sounds are ${way} too far apart. That is taken off`
    : `From here the sounds are ${way} too close together. That is added`;
}
