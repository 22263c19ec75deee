import { eventOf, type EntryDraft } from '@bradyon/contract/games';
import {
  gameReader,
  situationOf,
  type GameEvent,
  type Reading,
  type Situation,
} from '@bradyon/core/games';
import type { GameId, TeamId } from '@bradyon/core/units';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { outbox, type GrowingList } from '../../api/index.ts';
import type { Entry } from '@bradyon/contract/games';
import { entryWrite, keptEntries } from './writes.ts';

/** A game at one moment, as this device has it. */
export interface GameStands {
  /** In their order: what the server numbered, then what waits here to be sent. None says its number. */
  events: readonly GameEvent[];
  reading: Reading;
  /** null: not open. */
  situation: Situation | null;
}

/** ...and how far it has traveled. That something arrived changes nothing of where the game stands. */
export interface GameNow {
  stands: GameStands;
  /** The same for the screens: what came of a call is kept for later, and shows nowhere. */
  shown: GameStands;
  /** How far the server's list is known. */
  lastSeq: number;
  /** What waits to be sent. */
  unsent: ReadonlySet<string>;
}

/**
 * Reads a game again and again. An entry stays the same object, whether it has its number or not, so that one more
 * costs one more; and where the game stands stays the same as long as nothing of it changes.
 */
export function makeGameReader(): (
  kept: ReadonlyMap<string, Entry>,
  waiting: readonly EntryDraft[],
) => GameNow {
  const read = gameReader();
  const known = new Map<string, GameEvent>();
  const eventFor = (entry: EntryDraft): GameEvent => {
    const before = known.get(entry.id);
    if (before) return before;
    const event = eventOf({ ...entry, seq: null });
    known.set(entry.id, event);
    return event;
  };
  let stands: GameStands | null = null;
  let shown: GameStands | null = null;
  return (kept, waiting) => {
    const numbered = [...kept.values()].sort((a, b) => a.seq - b.seq);
    const unsent = waiting.filter(({ id }) => !kept.has(id));
    const events = [...numbered, ...unsent].map(eventFor);
    if (!stands || !isSameList(stands.events, events)) {
      const reading = read(events);
      const found = situationOf(reading.state);
      stands = { events, reading, situation: found.open ? found : null };
    }
    if (!shown || !isSameList(shown.events.filter(shows), events.filter(shows))) shown = stands;
    return {
      stands,
      shown,
      lastSeq: numbered.at(-1)?.seq ?? 0,
      unsent: new Set(unsent.map(({ id }) => id)),
    };
  };
}

function isSameList(a: readonly GameEvent[], b: readonly GameEvent[]): boolean {
  return a.length === b.length && a.every((event, index) => event === b[index]);
}

/** All but what came of a call. */
function shows(event: GameEvent): boolean {
  return event.kind !== 'advice' || event.plays !== null;
}

const stores = new WeakMap<GrowingList<Entry>, StoreApi<GameNow>>();

/** The game as it stands on this device, for every screen of this tab. */
export function liveGame(teamId: TeamId, gameId: GameId): StoreApi<GameNow> {
  const list = keptEntries(teamId, gameId);
  const known = stores.get(list);
  if (known) return known;
  const read = makeGameReader();
  let waiting: readonly EntryDraft[] = [];
  const own = (): EntryDraft[] =>
    entryWrite.waiting(teamId).flatMap((body) => (body.gameId === gameId ? [body.entry] : []));
  waiting = own();
  const store = createStore<GameNow>(() => read(list.rows, waiting));
  const show = (): void => {
    store.setState(read(list.rows, waiting), true);
  };
  list.onChange(show);
  outbox.state.subscribe((now, before) => {
    if (now.waiting === before.waiting) return;
    const next = own();
    const isSame =
      next.length === waiting.length && next.every((entry, index) => entry === waiting[index]);
    if (isSame) return;
    waiting = next;
    show();
  });
  stores.set(list, store);
  return store;
}
