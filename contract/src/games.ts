import { PLACES, type GameEvent, type Place } from '@bradyon/core/games';
import type {
  AccountId,
  GameEntryId,
  GameId,
  OpponentId,
  PassId,
  TeamId,
} from '@bradyon/core/units';
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
  { ok: true; seq: number } | { ok: false; status: number; detail: string; errors: Misfit[] };
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
    seq,
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

/** An entry as the reader of games has it; without a number while it is not sent. */
export function eventOf({ told, ...envelope }: EntryDraft & { seq: number | null }): GameEvent {
  // What it says can name nothing of the envelope.
  return { ...told, ...envelope } as unknown as GameEvent;
}

/** The other way: what a device sends. */
export function entryOf(event: GameEvent): EntryDraft {
  const { id, seq: _seq, device, place, at = '', slot, kind, ...told } = event;
  return { id: id as GameEntryId, device, place, at, slot, kind, told };
}

/** A device that follows a game, as it says so itself. */
export interface DeviceHere {
  device: string;
  place: Place;
  /** How far its list goes. */
  lastSeq: number;
}
/** The same as the others see it. */
export interface DeviceSeen extends DeviceHere {
  /** Whose it is. */
  name: string;
  secondsAgo: number;
}
const deviceFields = {
  device: entryFields.device,
  place: entryFields.place,
  lastSeq: seq,
};
export const deviceHereContract = contract<DeviceHere>(deviceFields);
export const devicesContract = listContract(
  contract<DeviceSeen>({
    ...deviceFields,
    name: required(text('A name.', { max: 80 })),
    secondsAgo: required(number('Seconds.', { min: 0, max: 10_000_000 })),
  }),
);

/** Places that can be opened by a code: the bench has the book, and an account. */
export const PASS_PLACES = ['first', 'third', 'stands'] as const;
export type PassPlace = (typeof PASS_PLACES)[number];

/** A code that opens one place of one game. */
export interface PassDraft {
  id: PassId;
  place: PassPlace;
}
export interface OpenPass extends PassDraft {
  expiresAt: string;
  /** How many phones came in by it. */
  guests: number;
}
/** The code itself is shown once. */
export interface Pass extends OpenPass {
  code: string;
}
const passFields = {
  id: required(id<PassId>()),
  place: required(oneOf(PASS_PLACES, 'Choose first base, third base or the stands.')),
};
export const passDraftContract = contract<PassDraft>(passFields);
const openPassFields = {
  ...passFields,
  expiresAt: required(instant('An end.')),
  guests: required(number('A count.', { min: 0, max: 10_000, whole: true })),
};
export const openPassesContract = listContract(contract<OpenPass>(openPassFields));
export const passContract = contract<Pass>({
  ...openPassFields,
  code: required(text('A code.', { max: 20 })),
});

/** Coming in by a code: the phone makes its own account id. */
export interface Entrance {
  code: string;
  accountId: AccountId;
}
export const entranceContract = contract<Entrance>({
  code: required(text('Enter the code from the bench, like K7QD-93XM.', { max: 20 })),
  accountId: required(id<AccountId>()),
});
/** What a code opened. */
export interface Admission {
  teamId: TeamId;
  gameId: GameId;
  place: PassPlace;
  expiresAt: string;
}
export const admissionContract = contract<Admission>({
  teamId: required(id<TeamId>()),
  gameId: required(id<GameId>()),
  place: passFields.place,
  expiresAt: openPassFields.expiresAt,
});
