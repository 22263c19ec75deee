import { byNumber, type Person } from '../people/index.ts';
import type { PersonId } from '../units/index.ts';
import type { GamePosition, LineUp, Spot } from './events.ts';

/** In the field, in the order in which a scorebook numbers them. */
const FIELD = ['P', 'C', '1B', '2B', '3B', 'SS', 'LF', 'CF', 'RF'] as const;
const USUAL_BATTERS = 9;

/**
 * A lineup to start from: last game's as far as they are still there, else the order that is kept, else the
 * first nine of the roster; each at a position they play, as far as it is free.
 */
export function startLineUp(
  people: readonly Person[],
  { last, order }: { last: LineUp | null; order: readonly PersonId[] },
): LineUp {
  const roster = people.filter(({ retired }) => !retired).toSorted(byNumber);
  const known = new Map(roster.map((person) => [person.id, person]));
  if (last) {
    const spots = last.order.filter(({ id }) => known.has(id));
    const flex = last.flex && known.has(last.flex.id) ? last.flex : null;
    if (spots.length > 0) return withBench({ order: spots, flex, bench: [] }, roster);
  }
  const set = order.filter((id) => known.has(id));
  const ids = set.length > 0 ? set : roster.slice(0, USUAL_BATTERS).map(({ id }) => id);
  return withBench({ order: placed(ids, known), flex: null, bench: [] }, roster);
}

/** Each at the first free position of their own; whoever is left takes what is left. */
function placed(ids: readonly PersonId[], known: ReadonlyMap<PersonId, Person>): Spot[] {
  const free = new Set<GamePosition>(FIELD);
  const spots = ids.map((id): Spot => ({ id, pos: null }));
  const take = (spot: Spot, wanted: readonly GamePosition[]): void => {
    const pos = wanted.find((each) => free.has(each));
    if (pos === undefined || spot.pos !== null) return;
    spot.pos = pos;
    free.delete(pos);
  };
  // Whoever plays only one position first, so that nobody takes it from them.
  const byChoice = spots.toSorted(
    (a, b) => (known.get(a.id)?.positions.length ?? 0) - (known.get(b.id)?.positions.length ?? 0),
  );
  for (const spot of byChoice) take(spot, known.get(spot.id)?.positions ?? []);
  for (const spot of spots) take(spot, FIELD);
  return spots;
}

/** Everybody of the roster who is not in it is on the bench. */
export function withBench(lineUp: LineUp, roster: readonly Person[]): LineUp {
  const playing = new Set([
    ...lineUp.order.map(({ id }) => id),
    ...(lineUp.flex ? [lineUp.flex.id] : []),
  ]);
  return { ...lineUp, bench: roster.flatMap(({ id }) => (playing.has(id) ? [] : [id])) };
}
