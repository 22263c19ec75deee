import { HABITS, STANDS, TIMED_LEGS, type SeasonCall, type SeenHabit } from '@bradyon/core/review';
import type { GameId, OpponentId, PersonId } from '@bradyon/core/units';
import {
  contract,
  flag,
  id,
  instant,
  nullable,
  number,
  oneOf,
  optional,
  required,
  rowsOf,
  text,
} from './rule.ts';
import { levelChangesRule } from './teams.ts';

const word = (most = 60) => text(`A word, up to ${String(most)} letters.`, { max: most });
const chance = required(number('A chance from 0 to 1.', { min: 0, max: 1 }));
const worth = (min: number) => required(number('Chance to win.', { min, max: 1 }));
const seconds = required(number('Seconds.', { min: -60, max: 60 }));
const leg = required(
  nullable(
    contract<NonNullable<SeasonCall['legs']['pitch']>>({
      meanSeconds: seconds,
      doubtSeconds: seconds,
      spreadSeconds: seconds,
      freedom: required(nullable(number('How sure the spread is.', { min: 0, max: 1e9 }))),
      basis: required(word()),
    }),
  ),
);

/** A spot of a finished game, to be decided again: what was known before the pitch, and what came of it. */
export interface ReplaySpot {
  inning: number;
  half: 'top' | 'bottom';
  outs: number;
  base: SeasonCall['base'];
  /** Mean times as they were known then; null: not known. Seconds. */
  pitchSeconds: number | null;
  popSeconds: number | null;
  runSeconds: number | null;
  chance: number;
  low: number;
  high: number;
  need: number;
  /** Staying and every way to go, each worth on average against staying. */
  options: { name: string; worth: number }[];
  /** What the coach did then: one of the options. */
  coach: string;
  outcome: SeasonCall['outcome'];
  resolved: boolean;
  clearness: SeasonCall['clearness'];
}

/** A game to decide again, as players get it: without names. */
export interface SharedReplay {
  title: string;
  spots: ReplaySpot[];
}

const MOST_SPOTS = 200;
const known = required(nullable(number('Enter 0 to 60 seconds.', { min: 0, max: 60 })));
const replayFields = {
  title: required(text('A title, up to 120 letters.', { max: 120 })),
  spots: required(
    rowsOf(
      contract<ReplaySpot>({
        inning: required(number('An inning.', { min: 1, max: 99, whole: true })),
        half: required(oneOf(['top', 'bottom'], 'A half.')),
        outs: required(number('Enter 0 to 3 outs.', { min: 0, max: 3, whole: true })),
        base: required(oneOf(['second', 'third', 'home'], 'A base.')),
        pitchSeconds: known,
        popSeconds: known,
        runSeconds: known,
        chance,
        low: chance,
        high: chance,
        need: chance,
        options: required(
          rowsOf(
            contract<ReplaySpot['options'][number]>({ name: required(word()), worth: worth(-1) }),
            12,
          ),
        ),
        coach: required(word()),
        outcome: required(oneOf(['safe', 'out', 'notRun', 'safeOnError'], 'What came of it.')),
        resolved: required(flag('true or false')),
        clearness: required(oneOf(['nothingInIt', 'right', 'close', 'clear'], 'How clear it was.')),
      }),
      MOST_SPOTS,
    ),
  ),
};
export const sharedReplayContract = contract<SharedReplay>(replayFields);
/** What a player gets: null while the coach has shared none. */
export const playersReplayContract = contract<{ replay: SharedReplay | null }>({
  replay: required(nullable(sharedReplayContract)),
});

/** The calls of all games of a team, as they were known when they were made. */
export interface Season {
  calls: SeasonCall[];
  /** Outs stealing of all games, as the games themselves have them: some may have had no call. */
  outsStealing: number;
  /** What each game showed of the people we faced. */
  habits: SeenHabit[];
}

const MOST_CALLS = 20_000;
const MOST_HABITS = 100_000;

const chances = required(number('How often.', { min: 0, max: 1000, whole: true }));

export const seasonContract = contract<Season>({
  habits: required(
    rowsOf(
      contract<SeenHabit>({
        who: required(id<PersonId>()),
        stands: required(oneOf(STANDS, 'How the count stood.')),
        runner: required(nullable(id<PersonId>())),
        habit: required(oneOf(HABITS, 'A habit.')),
        yes: chances,
        no: chances,
        startsAt: required(instant('When the game began.')),
      }),
      MOST_HABITS,
    ),
  ),
  outsStealing: required(number('How many outs.', { min: 0, max: 1e6, whole: true })),
  calls: required(
    rowsOf(
      contract<SeasonCall>({
        id: required(word()),
        gameId: required(id<GameId>()),
        startsAt: required(instant('When the game began.')),
        opponentId: required(nullable(id<OpponentId>())),
        opportunity: required(word(200)),
        inning: required(number('An inning.', { min: 1, max: 99, whole: true })),
        half: required(oneOf(['top', 'bottom'], 'A half.')),
        outs: required(number('Enter 0 to 3 outs.', { min: 0, max: 3, whole: true })),
        runner: required(id<PersonId>()),
        pitcher: required(nullable(id<PersonId>())),
        catcher: required(nullable(id<PersonId>())),
        pitcherThrows: required(nullable(oneOf(['left', 'right'], 'A hand.'))),
        base: required(oneOf(['second', 'third', 'home'], 'A base.')),
        kind: required(word()),
        style: required(nullable(word())),
        chance,
        low: chance,
        high: chance,
        need: chance,
        verdict: required(word()),
        shown: required(flag('true or false')),
        called: required(nullable(word())),
        calledBy: required(nullable(word())),
        done: required(word()),
        resolved: required(flag('true or false')),
        outcome: required(oneOf(['safe', 'out', 'notRun', 'safeOnError'], 'What came of it.')),
        signSeen: required(oneOf(['yes', 'no', 'unknown'], 'Whether the sign was seen.')),
        best: required(word()),
        clearness: required(oneOf(['nothingInIt', 'right', 'close', 'clear'], 'How clear it was.')),
        cost: worth(0),
        offered: worth(-1),
        offeredLow: worth(-1),
        offeredHigh: worth(-1),
        go: required(
          nullable(contract<NonNullable<SeasonCall['go']>>({ safe: worth(-1), out: worth(-1) })),
        ),
        execution: worth(-1),
        luck: worth(-1),
        luckSd: worth(0),
        legs: required(contract<SeasonCall['legs']>({ pitch: leg, pop: leg, run: leg, jump: leg })),
        throw: required(nullable(oneOf(['onLine', 'offLine', 'away'], 'How the throw was.'))),
        pitchOut: required(flag('true or false')),
        timed: required(
          contract<SeasonCall['timed']>(
            Object.fromEntries(TIMED_LEGS.map((name) => [name, optional(word())])) as never,
          ),
        ),
        changes: required(nullable(levelChangesRule)),
      }),
      MOST_CALLS,
    ),
  ),
});
