import type { OpponentId, PersonId } from '../units/index.ts';

export const HANDS = ['right', 'left'] as const;
export type Hand = (typeof HANDS)[number];

export const SIDES_OF_PLATE = ['right', 'left', 'switch'] as const;
export type SideOfPlate = (typeof SIDES_OF_PLATE)[number];

/** Positions as the scorebook writes them. */
export const POSITIONS = ['P', 'C', '1B', '2B', '3B', 'SS', 'LF', 'CF', 'RF', 'DH'] as const;
export type Position = (typeof POSITIONS)[number];

/** A player of ours or of an opponent. */
export interface Person {
  id: PersonId;
  /** null: one of ours. */
  opponentId: OpponentId | null;
  /** What is on the shirt, kept as written: 0 and 00 are two players. Empty when not known. */
  number: string;
  name: string;
  throws: Hand;
  bats: SideOfPlate;
  positions: Position[];
  /** His primary lead off first, feet; null: the usual one. */
  leadFeet: number | null;
  /** Retired players keep their times but are no longer offered. */
  retired: boolean;
}

/** A team we play against. */
export interface Opponent {
  id: OpponentId;
  name: string;
  retired: boolean;
}

/**
 * Order of a roster: by shirt number, those without one last, then by name.
 * @returns negative when `a` comes first, as `Array.sort` wants it
 */
export function byNumber(
  a: Pick<Person, 'number' | 'name'>,
  b: Pick<Person, 'number' | 'name'>,
): number {
  if ((a.number === '') !== (b.number === '')) return a.number === '' ? 1 : -1;
  return (
    Number(a.number) - Number(b.number) ||
    a.number.length - b.number.length ||
    a.name.localeCompare(b.name)
  );
}
