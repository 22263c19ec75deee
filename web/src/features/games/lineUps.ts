import type { GamePosition, LineUp, Spot } from '@bradyon/core/games';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';

/** In the field, in the order in which a scorebook numbers them. */
const FIELD = ['P', 'C', '1B', '2B', '3B', 'SS', 'LF', 'CF', 'RF'] as const;
/** Whatever somebody in a game can be: in the field, or only at bat. */
export const GAME_POSITIONS: readonly Exclude<GamePosition, null>[] = [...FIELD, 'XF', 'DH', 'EH'];
const ONLY_BAT: readonly GamePosition[] = ['DH', 'EH', null];

/** Puts somebody at a position; whoever was there takes theirs. */
export function atPosition(lineUp: LineUp, id: PersonId, pos: GamePosition): LineUp {
  const before = lineUp.order.find((spot) => spot.id === id)?.pos ?? null;
  const isHeld = (spot: Spot): boolean => !ONLY_BAT.includes(pos) && spot.pos === pos;
  const order = lineUp.order.map((spot) => {
    if (spot.id === id) return { ...spot, pos };
    return isHeld(spot) ? { ...spot, pos: before } : spot;
  });
  const hasDh = order.some((spot) => spot.pos === 'DH');
  return { ...lineUp, order, flex: hasDh ? lineUp.flex : null };
}

/** Whom the one who only bats bats for: they play, and are not in the order. */
export function withFlex(lineUp: LineUp, id: PersonId | null): LineUp {
  if (id === null) return { ...lineUp, flex: null };
  const held = new Set(lineUp.order.map(({ pos }) => pos));
  const pos = FIELD.find((each) => !held.has(each)) ?? 'P';
  return { ...lineUp, flex: { id, pos } };
}

/** Puts somebody last in the order, at what is free. */
export function withBatter(lineUp: LineUp, person: Person): LineUp {
  const held = new Set([...lineUp.order.map(({ pos }) => pos), lineUp.flex?.pos ?? null]);
  const pos =
    person.positions.find((each) => FIELD.includes(each as never) && !held.has(each)) ??
    FIELD.find((each) => !held.has(each)) ??
    null;
  return { ...lineUp, order: [...lineUp.order, { id: person.id, pos }] };
}

export function withoutBatter(lineUp: LineUp, id: PersonId): LineUp {
  const order = lineUp.order.filter((spot) => spot.id !== id);
  return { ...lineUp, order, flex: order.some(({ pos }) => pos === 'DH') ? lineUp.flex : null };
}

/** What was typed as numbers, in the order typed: whom they name, and which name nobody yet. */
export function readNumbers(
  text: string,
  people: readonly Person[],
): { ids: (PersonId | null)[]; numbers: string[]; wrong: string | null } {
  const words = text.split(/[\s,;]+/).filter((word) => word !== '');
  const wrong = words.find((word) => !/^\d{1,3}$/.test(word)) ?? null;
  const twice = words.find((word, index) => words.indexOf(word) !== index) ?? null;
  const ids = words.map(
    (word) => people.find(({ number, retired }) => !retired && number === word)?.id ?? null,
  );
  return { ids, numbers: words, wrong: wrong ?? twice };
}

/** Somebody of whom only the number is known; the rest is filled in later. */
export function onlyNumber(id: PersonId, opponentId: Person['opponentId'], number: string): Person {
  return {
    id,
    opponentId,
    number,
    name: `No. ${number}`,
    throws: 'right',
    bats: 'right',
    positions: [],
    leadFeet: null,
    retired: false,
  };
}

/** Why nobody can play with this lineup, in words; null when they can. */
export function lineUpMisfit({ order, flex }: LineUp): string | null {
  if (order.length === 0) return 'Add at least one batter.';
  const hasDh = order.some(({ pos }) => pos === 'DH');
  if (hasDh && !flex) return 'Choose who the DH bats for.';
  const held = [...order, ...(flex ? [flex] : [])].map(({ pos }) => pos);
  if (!held.includes('P')) return 'Choose a pitcher.';
  if (!held.includes('C')) return 'Choose a catcher.';
  const field = held.filter((pos) => !ONLY_BAT.includes(pos));
  const twice = field.find((pos, index) => field.indexOf(pos) !== index);
  return twice === undefined || twice === null ? null : `Two players are at ${twice}.`;
}
