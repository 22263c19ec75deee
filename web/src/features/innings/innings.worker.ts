import { expose } from 'comlink';
import { bestChoices } from './best.ts';
import { makeTables } from './game.ts';

/** What is too heavy to stand between a tap and its answer. */
const heavy = { makeTables, bestChoices };
export type Heavy = typeof heavy;

expose(heavy);
