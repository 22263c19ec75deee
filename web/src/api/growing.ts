import type { Id } from '@bradyon/core/units';
import { getMany } from 'idb-keyval';
import { createStore as createZustandStore } from 'zustand/vanilla';
import { kept } from './device.ts';
import { currentAccount } from './session.ts';

interface Row {
  id: Id<string>;
}

/** What is new since a mark, as the server tells it. */
export interface NewsPage<T extends Row> {
  rows: T[];
  gone: T['id'][];
  next: number;
  more: boolean;
}

/** A list that grows for years: fetched by what is new, kept on the device in pieces. */
export interface GrowingList<T extends Row> {
  /** Every row there is, by id. Changed in place; `version` says when. */
  rows: ReadonlyMap<T['id'], T>;
  /** Told after each change, with the rows before and after. */
  onChange: (changed: (ids: readonly T['id'][]) => void) => () => void;
  /** Whether everything up to now has been here once. */
  state: { getState: () => ListState; subscribe: (heard: () => void) => () => void };
  /** Puts rows that the server has answered. */
  put: (rows: readonly T[], gone?: readonly T['id'][]) => void;
  /** Asks for what is new, page after page, after what is kept on the device is here. */
  sync: () => Promise<number>;
}

interface ListState {
  /** Complete at least once since this page was opened. */
  isComplete: boolean;
}

/** A piece is closed at this many rows: a new tap writes only the open one. */
const PIECE_ROWS = 200;
/** So many pieces are read at once; between, the page goes on. */
const READ_PIECES = 8;

/** What stands on the device about a list. */
interface Head {
  accountId: string;
  mark: number;
  /** Whether everything up to the mark's day had been fetched: a first load may be broken off. */
  isComplete: boolean;
  /** Closed pieces. */
  pieces: number;
  /** Who wrote last: two tabs must not mix their pieces. */
  writer: string;
}
type Upto = Pick<Head, 'mark' | 'isComplete'>;
const NOTHING: Upto = { mark: 0, isComplete: false };
interface Piece<T extends Row> {
  rows: T[];
  gone: T['id'][];
}

let lists = new Map<string, GrowingList<never>>();

/** After signing out. */
export function forgetLists(): void {
  lists = new Map();
}

/** The list of this name; one for the whole tab. */
export function growingList<T extends Row>(
  name: string,
  fetchPage: (since: number) => Promise<NewsPage<T>>,
): GrowingList<T> {
  const known = lists.get(name) as GrowingList<T> | undefined;
  if (known) return known;
  const made = makeList(name, fetchPage);
  lists.set(name, made as unknown as GrowingList<never>);
  return made;
}

function makeList<T extends Row>(
  name: string,
  fetchPage: (since: number) => Promise<NewsPage<T>>,
): GrowingList<T> {
  const rows = new Map<T['id'], T>();
  const hearers = new Set<(ids: readonly T['id'][]) => void>();
  const state = createZustandStore<ListState>(() => ({ isComplete: false }));
  const device = piecesOnDevice<T>(name);
  let mark = 0;
  let isRead = false;
  let running: Promise<number> | null = null;

  const put = (news: readonly T[], gone: readonly T['id'][] = []): void => {
    for (const row of news) rows.set(row.id, row);
    for (const id of gone) rows.delete(id);
    const ids = [...news.map(({ id }) => id), ...gone];
    if (ids.length > 0) for (const hear of hearers) hear(ids);
  };

  const run = async (): Promise<number> => {
    if (!isRead) {
      const found = await device.read(put).catch(() => NOTHING);
      ({ mark } = found);
      isRead = true;
      // What is here from before is complete as of then; what is new joins it.
      if (found.isComplete) state.setState({ isComplete: true });
    }
    for (let more = true; more;) {
      const page = await fetchPage(mark);
      put(page.rows, page.gone);
      if (page.next !== mark) {
        const isComplete = state.getState().isComplete || !page.more;
        await device.append(page, { mark: page.next, isComplete }).catch(() => undefined);
      }
      mark = page.next;
      ({ more } = page);
    }
    state.setState({ isComplete: true });
    return mark;
  };

  return {
    rows,
    state,
    put,
    onChange(changed) {
      hearers.add(changed);
      return () => hearers.delete(changed);
    },
    sync() {
      running ??= run().finally(() => {
        running = null;
      });
      return running;
    },
  };
}

/** The pieces of one list in the device's store. */
function piecesOnDevice<T extends Row>(name: string) {
  const writer = Math.random().toString(36).slice(2);
  const headKey = `${name}/head`;
  const pieceKey = (index: number): string => `${name}/${String(index).padStart(6, '0')}`;
  let head: Head | null = null;
  let open: Piece<T> = { rows: [], gone: [] };

  return {
    /** Gives every kept piece to `put`, in order. */
    async read(put: (rows: readonly T[], gone: readonly T['id'][]) => void): Promise<Upto> {
      const [found] = await getMany<Head>([headKey], kept.lists);
      const accountId = currentAccount();
      if (accountId === null || found?.accountId !== accountId) return NOTHING;
      for (let first = 0; first <= found.pieces; first += READ_PIECES) {
        const keys = Array.from(
          { length: Math.min(READ_PIECES, found.pieces + 1 - first) },
          (_, index) => pieceKey(first + index),
        );
        for (const text of await getMany<string>(keys, kept.lists)) {
          // A piece that is missing makes the whole worthless: it is fetched once more.
          if (text === undefined) return NOTHING;
          open = JSON.parse(text) as Piece<T>;
          put(open.rows, open.gone);
        }
      }
      head = found;
      return found;
    },
    async append({ rows, gone }: Piece<T>, { mark, isComplete }: Upto): Promise<void> {
      const accountId = currentAccount();
      if (accountId === null) return;
      const next: Piece<T> = { rows: [...open.rows, ...rows], gone: [...open.gone, ...gone] };
      const isClosed = next.rows.length + next.gone.length >= PIECE_ROWS;
      const index = head?.pieces ?? 0;
      const before = head?.writer ?? null;
      const pieces = isClosed ? index + 1 : index;
      const made: Head = { accountId, mark, isComplete, pieces, writer };
      const empty: Piece<T> = { rows: [], gone: [] };
      const isWritten = await kept.lists(
        'readwrite',
        (store) =>
          new Promise<boolean>((resolve, reject) => {
            const asked = store.get(headKey) as IDBRequest<Head | undefined>;
            let isOurs = true;
            asked.onsuccess = () => {
              // Another tab has written since: it keeps the pieces, this one has them in memory.
              isOurs = (asked.result?.writer ?? null) === before || before === null;
              if (!isOurs) return;
              store.put(JSON.stringify(next), pieceKey(index));
              if (isClosed) store.put(JSON.stringify(empty), pieceKey(index + 1));
              store.put(made, headKey);
            };
            store.transaction.oncomplete = () => {
              resolve(isOurs);
            };
            store.transaction.onabort = () => {
              reject(store.transaction.error ?? new Error('not kept'));
            };
          }),
      );
      if (!isWritten) return;
      head = made;
      open = isClosed ? empty : next;
    },
  };
}
