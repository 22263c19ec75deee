import type { SignVersionId } from '../units/index.ts';
import type { NumberCard } from './numberCard.ts';
import type { SignSystem } from './system.ts';

/** A system as it was in force from some moment on. */
export interface SignVersion {
  id: SignVersionId;
  /** When it came into force. */
  at: string;
  system: SignSystem;
  /** What a list is kept by; empty: none. */
  phrase: string;
}

/** All that a team signals with. It is secret. */
export interface SignBook {
  /** The oldest first; the last is in force. */
  versions: SignVersion[];
  /** What the bench calls to the catcher by touches; null: nothing yet. */
  series: SignSystem | null;
  /** Number cards of one epoch: none shares a code with another. */
  cards: NumberCard[];
  /** Which of them is on the wristbands. */
  card: number;
}

export const EMPTY_BOOK: SignBook = { versions: [], series: null, cards: [], card: 0 };

/** What is in force; null: no signs yet. */
export function signsNow({ versions }: SignBook): SignVersion | null {
  return versions.at(-1) ?? null;
}

/** What was in force at a moment: the last version before it, else the first there is. */
export function signsAt({ versions }: SignBook, at: string): SignVersion | null {
  return versions.findLast((version) => version.at <= at) ?? versions[0] ?? null;
}
