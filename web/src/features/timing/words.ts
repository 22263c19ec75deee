import type { DeliveryStyle, ReadingKind } from '@bradyon/core/timing';
import type { TargetBase } from '@bradyon/core/units';

/** How the kinds are called on a screen. */
export const KIND_WORDS: Record<ReadingKind, { name: string; short: string; from: string }> = {
  delivery: { name: 'Delivery', short: 'delivery', from: 'first move to mitt' },
  flight: { name: 'Release to mitt', short: 'flight', from: 'ball leaves the hand to mitt' },
  pop: { name: 'Pop', short: 'pop', from: 'mitt to glove at the bag' },
  steal: { name: 'Steal', short: 'steal', from: 'first move to touch' },
  homeToFirst: { name: 'Home to first', short: 'home to first', from: 'bat meets ball to touch' },
};

export const STYLE_WORDS: Record<DeliveryStyle, string> = {
  legLift: 'Leg lift',
  slideStep: 'Slide step',
};

export const BASE_WORDS: Record<TargetBase, string> = { second: 'Second', third: 'Third' };
