import { PLACES, type Place } from '@bradyon/core/games';
import type { GameEntryId, GameId, OpponentId } from '@bradyon/core/units';
import {
  constant,
  contract,
  flag,
  id,
  instant,
  jsonObject,
  listContract,
  nullable,
  number,
  oneOf,
  oneShapeOf,
  required,
  rowsOf,
  text,
  type Misfit,
} from './rule.ts';

/** A game to be played, running or over: what happened in it is its entries. */
export interface GameDraft {
  id: GameId;
  /** null: not known yet. */
  opponentId: OpponentId | null;
  startsAt: string;
  weAreHome: boolean;
}

/** With the number of its last entry. */
export interface Game extends GameDraft {
  lastSeq: number;
}

const draftFields = {
  id: required(id<GameId>()),
  opponentId: required(nullable(id<OpponentId>())),
  startsAt: required(instant('Say when the game starts.')),
  weAreHome: required(flag('Say whether you are the home team.')),
};
export const gameDraftContract = contract<GameDraft>(draftFields);

/** A game has fewer entries than this, by far. */
export const MOST_ENTRIES = 20_000;
const seq = required(
  number('Send a number of an entry.', { min: 0, max: MOST_ENTRIES, whole: true }),
);
/** What a game is, with the number of its last entry. */
export const gameFields = { ...draftFields, lastSeq: seq };
export const gameContract = contract<Game>(gameFields);
export const gamesContract = listContract(gameContract);

/** One entry as a device sends it. What it says is kept as it is: the reader of the game judges it. */
export interface EntryDraft {
  id: GameEntryId;
  /** The device's own name for itself. */
  device: string;
  place: Place;
  /** The device's own time. */
  at: string;
  /** Where its sender saw the game. */
  slot: string;
  kind: string;
  told: Record<string, unknown>;
}

/** With the number that orders it. */
export interface Entry extends EntryDraft {
  seq: number;
}

const LONGEST_TOLD = 8000;
const entryFields = {
  id: required(id<GameEntryId>()),
  device: required(text('Name the device, up to 80 letters.', { max: 80 })),
  place: required(oneOf(PLACES, 'Say where the device is.')),
  at: required(instant('Say when it was entered.')),
  slot: required(text('Say where the game stood, up to 40 letters.', { max: 40 })),
  kind: required(text('Say what it is, up to 40 letters.', { max: 40 })),
  told: required(jsonObject('Send what happened, up to 8,000 letters.', LONGEST_TOLD)),
};

/** Entries of one request, at most. */
const ENTRIES_AT_ONCE = 50;

export interface EntryBatch {
  entries: EntryDraft[];
}
export const entryBatchContract = contract<EntryBatch>({
  entries: required(rowsOf(contract<EntryDraft>(entryFields), ENTRIES_AT_ONCE)),
});

/** What became of each: its number, or why it was refused. The others are kept. */
export type EntryAnswer =
  { ok: true; entry: Entry } | { ok: false; status: number; detail: string; errors: Misfit[] };
export interface EntryAnswers {
  answers: EntryAnswer[];
}

export const entryContract = contract<Entry>({ ...entryFields, seq });
const misfit = contract<Misfit>({
  path: required(text('A path.', { min: 0, max: 200 })),
  message: required(text('A reason.', { max: 300 })),
});
const answerRule = oneShapeOf<EntryAnswer, 'ok'>('ok', {
  true: contract<Extract<EntryAnswer, { ok: true }>>({
    ok: required(constant(true)),
    entry: required(entryContract),
  }),
  false: contract<Extract<EntryAnswer, { ok: false }>>({
    ok: required(constant(false)),
    status: required(number('A status.', { min: 400, max: 499, whole: true })),
    detail: required(text('A reason.', { max: 300 })),
    errors: required(rowsOf(misfit, 20)),
  }),
});
export const entryAnswersContract = contract<EntryAnswers>({
  answers: required(rowsOf(answerRule, ENTRIES_AT_ONCE)),
});

/** What is new of a game since a number. */
export interface EntriesPage {
  entries: Entry[];
  /** The number to ask from the next time. */
  next: number;
  more: boolean;
}
/** Entries of one page, at most. */
export const PAGE_ENTRIES = 500;
export const entriesPageContract = contract<EntriesPage>({
  entries: required(rowsOf(entryContract, PAGE_ENTRIES)),
  next: seq,
  more: required(flag('true or false')),
});
