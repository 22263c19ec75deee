import type { Half } from './events.ts';

/**
 * A place in a game as a coach would say it: the half, the turn of the half, the pitch of the turn
 * that comes next. It lines up again with every batter, so that a missed pitch disturbs one turn only.
 */
export interface Slot {
  /** How often the inning or the half was set by hand before. */
  number: number;
  half: Half;
  inning: number;
  /** Of the half, from 1. */
  turn: number;
  /** Of the turn, from 1: the one about to come. */
  pitch: number;
  /** The how-many-th thing of its class at that place its sender knew of, from 1. */
  nth: number;
}

const PATTERN = /^(?:(\d{1,4}):)?([TB])(\d{1,3})\.(\d{1,3})\.(\d{1,4})(?:#(\d{1,3}))?$/;

/**
 * Reads a slot.
 * @returns null when it is none
 * @example parseSlot('T3.2.4') // top of the third, second turn, fourth pitch
 */
export function parseSlot(text: string): Slot | null {
  const found = PATTERN.exec(text);
  if (!found) return null;
  const [, number = '0', half, inning, turn, pitch, nth = '1'] = found;
  const slot: Slot = {
    number: Number(number),
    half: half === 'T' ? 'top' : 'bottom',
    inning: Number(inning),
    turn: Number(turn),
    pitch: Number(pitch),
    nth: Number(nth),
  };
  return slot.inning > 0 && slot.turn > 0 && slot.pitch > 0 && slot.nth > 0 ? slot : null;
}

/** @example makeSlot(parseSlot('1:B7.2.1')) // '1:B7.2.1' */
export function makeSlot({ number, half, inning, turn, pitch, nth }: Slot): string {
  const before = number > 0 ? `${String(number)}:` : '';
  const after = nth > 1 ? `#${String(nth)}` : '';
  const letter = half === 'top' ? 'T' : 'B';
  return `${before}${letter}${String(inning)}.${String(turn)}.${String(pitch)}${after}`;
}

/** Which half comes first, as a number that grows. */
export function halfIndex({ half, inning }: Pick<Slot, 'half' | 'inning'>): number {
  return inning * 2 + (half === 'bottom' ? 1 : 0);
}

/** The order of places; the `nth` is no part of it. */
export function comparePlaces(a: Slot, b: Slot): number {
  return a.number - b.number || halfIndex(a) - halfIndex(b) || a.turn - b.turn || a.pitch - b.pitch;
}
