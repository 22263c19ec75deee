export { keepLast } from './keepLast.ts';
export { secondsProblem } from './typedKinds.ts';
export { tick, WatchFace } from './WatchFace.tsx';
export { useWatch, type SplitOwner, type WatchInHand } from './useWatch.ts';
export { TimeTabs } from './TimeTabs.tsx';
export { useReadings } from './useReadings.ts';
export { useTimes } from './useTimes.ts';
export { BASE_WORDS, dotsOf, KIND_WORDS, STYLE_WORDS, titleOf } from './words.ts';
export { readingWrite } from './writes.ts';
