export { gapOf, lanesOf, wordsOf } from './words.ts';
export { useEarlierJump } from './useEarlierJump.ts';
