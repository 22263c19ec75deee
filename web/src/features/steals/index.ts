export { gapOf, lanesOf, wordsOf } from './words.ts';
