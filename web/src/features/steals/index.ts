export { gapOf, KIND_TEXT, lanesOf, wordsOf } from './words.ts';
