import type {
  DrillItem,
  Indicator,
  Meaning,
  NumberCard,
  Scheme,
  SignBook,
  SignContext,
  SignSystem,
  SignVersion,
} from '@bradyon/core/signs';
import { LEVEL_NAMES, type LevelName } from '@bradyon/core/timing';
import type { DrillPassId, PersonId, SignAnswerId, SignVersionId } from '@bradyon/core/units';
import { playerRepContract, type RepRecord } from './drills.ts';
import { versionField, type Kept } from './kept.ts';
import {
  contract,
  flag,
  id,
  instant,
  listContract,
  listOf,
  nullable,
  number,
  oneOf,
  oneShapeOf,
  optional,
  required,
  rowsOf,
  text,
  type Rule,
} from './rule.ts';

/** Far beyond what a team remembers, and little enough to be proved in an instant. */
const MOST = {
  touches: 24,
  plays: 16,
  codes: 60,
  keys: 6,
  cycle: 12,
  versions: 60,
  cards: 10,
} as const;

const touch = text('Choose a touch.', { max: 24 });
const play = text('Choose a play.', { max: 40 });
const touches = (most: number): Rule<string[]> => listOf(touch, most);

const indicatorRule = oneShapeOf<Indicator, 'kind'>('kind', {
  none: contract<Extract<Indicator, { kind: 'none' }>>({ kind: required(oneOf(['none'], '')) }),
  fixed: contract<Extract<Indicator, { kind: 'fixed' }>>({
    kind: required(oneOf(['fixed'], '')),
    touch: required(touch),
  }),
  byInning: contract<Extract<Indicator, { kind: 'byInning' }>>({
    kind: required(oneOf(['byInning'], '')),
    touches: required(cycle(MOST.cycle)),
  }),
  byOuts: contract<Extract<Indicator, { kind: 'byOuts' }>>({
    kind: required(oneOf(['byOuts'], '')),
    touches: required(cycle(3)),
  }),
  keyTouch: contract<Extract<Indicator, { kind: 'keyTouch' }>>({
    kind: required(oneOf(['keyTouch'], '')),
    keys: required(
      rowsOf(
        contract<{ key: string; touch: string }>({ key: required(touch), touch: required(touch) }),
        MOST.keys,
      ),
    ),
    default: required(touch),
  }),
});

/** At least one touch to go round by; one may come twice. */
function cycle(most: number): Rule<string[]> {
  const words: Rule<string[]> = {
    read(value, path, found) {
      if (!Array.isArray(value) || value.length === 0 || value.length > most) {
        found.push({ path, message: `Choose 1 to ${String(most)} touches.` });
        return [];
      }
      return (value as unknown[]).map((each, index) =>
        touch.read(each, `${path}.${String(index)}`, found),
      );
    },
  };
  return words;
}

const pairs = rowsOf(
  contract<{ touch: string; play: string }>({ touch: required(touch), play: required(play) }),
  MOST.touches,
);
const value = number('Enter a figure, 0 to 9.', { min: 0, max: 9, whole: true });
const values = rowsOf(
  contract<{ touch: string; value: number }>({ touch: required(touch), value: required(value) }),
  10,
);
const take = number('Choose how many touches, 1 to 4.', { min: 1, max: 4, whole: true });
type Count = Extract<Scheme, { kind: 'count' }>;
const stopRule = contract<{ stop: string }>({ stop: required(touch) });
const until: Rule<Count['until']> = {
  read: (given, path, found) => (given === 'end' ? 'end' : stopRule.read(given, path, found)),
};
const listOrNothing: Rule<Count['list']> = {
  read(given, path, found) {
    if (!Array.isArray(given) || given.length > MOST.plays) {
      found.push({ path, message: `List ${String(MOST.plays)} plays at most.` });
      return [];
    }
    const place = nullable(play);
    return (given as unknown[]).map((each, index) =>
      place.read(each, `${path}.${String(index)}`, found),
    );
  },
};
const offset: Rule<1 | 2 | -1> = {
  read(given, path, found) {
    if (given === 1 || given === 2 || given === -1) return given;
    found.push({ path, message: 'Choose the next touch, the second after, or the one before.' });
    return 1;
  },
};

const schemeRule = oneShapeOf<Scheme, 'kind'>('kind', {
  direct: contract<Extract<Scheme, { kind: 'direct' }>>({
    kind: required(oneOf(['direct'], '')),
    map: required(pairs),
  }),
  indicator: contract<Extract<Scheme, { kind: 'indicator' }>>({
    kind: required(oneOf(['indicator'], '')),
    offset: required(offset),
    map: required(pairs),
  }),
  count: contract<Count>({
    kind: required(oneOf(['count'], '')),
    list: required(listOrNothing),
    until: required(until),
  }),
  sum: contract<Extract<Scheme, { kind: 'sum' }>>({
    kind: required(oneOf(['sum'], '')),
    take: required(take),
    values: required(values),
    table: required(
      rowsOf(
        contract<{ sum: number; play: string }>({
          sum: required(number('Enter a sum, 0 to 40.', { min: 0, max: 40, whole: true })),
          play: required(play),
        }),
        MOST.plays,
      ),
    ),
  }),
  card: contract<Extract<Scheme, { kind: 'card' }>>({
    kind: required(oneOf(['card'], '')),
    take: required(take),
    values: required(values),
    codes: required(
      rowsOf(
        contract<{ code: string; play: string }>({
          code: required(text('Enter a code of figures.', { max: 4, pattern: /^\d+$/ })),
          play: required(play),
        }),
        MOST.codes,
      ),
    ),
  }),
});

type Modifier = SignSystem['modifiers'][number];
type Rules = SignSystem['situational'][number];
const base = optional(flag('Say whether somebody is on.'));

const signSystemContract = contract<SignSystem>({
  id: required(text('Name the system.', { max: 40 })),
  name: required(text('Name the system, up to 60 letters.', { max: 60 })),
  touches: required(touches(MOST.touches)),
  plays: required(
    rowsOf(
      contract<SignSystem['plays'][number]>({
        id: required(play),
        critical: optional(flag('Say whether it must not be missed.')),
        weight: required(number('Enter how often, 0 to 20.', { min: 0, max: 20, decimals: 2 })),
      }),
      MOST.plays,
    ),
  ),
  indicator: required(indicatorRule),
  scheme: required(schemeRule),
  occurrence: required(oneOf(['first', 'last', 'any'], 'Choose which sign counts.')),
  modifiers: required(
    rowsOf(
      contract<Modifier>({
        touch: required(touch),
        from: required(play),
        to: required(play),
        where: required(oneOf(['anyAfter', 'next'], 'Choose where it stands.')),
      }),
      MOST.keys,
    ),
  ),
  situational: required(
    rowsOf(
      contract<Rules>({
        play: required(play),
        to: required(play),
        when: required(
          contract<Rules['when']>({
            first: base,
            second: base,
            third: base,
            outs: optional(
              listOf(number('Enter outs, 0 to 2.', { min: 0, max: 2, whole: true }), 3),
            ),
          }),
        ),
      }),
      MOST.keys,
    ),
  ),
  wipe: required(
    nullable(
      contract<NonNullable<SignSystem['wipe']>>({
        touch: required(touch),
        mode: required(oneOf(['cancel', 'restart'], 'Choose what the wipe-off does.')),
      }),
    ),
  ),
});

const cardContract = contract<NumberCard>({
  issue: required(number('Number the card.', { min: 0, max: 100_000, whole: true })),
  codes: required(
    rowsOf(
      contract<NumberCard['codes'][number]>({
        code: required(text('Enter a code of three figures.', { max: 3, pattern: /^\d{3}$/ })),
        play: required(nullable(play)),
      }),
      80,
    ),
  ),
});
const versionContract = contract<SignVersion>({
  id: required(id<SignVersionId>()),
  at: required(instant('Say from when.')),
  system: required(signSystemContract),
  phrase: required(text('Type the phrase, up to 120 letters.', { min: 0, max: 120 })),
});

/** The team's signs, whole: they are small, and they are sealed as one. */
export const signBookContract = contract<Kept<SignBook>>({
  versions: required(rowsOf(versionContract, MOST.versions)),
  series: required(nullable(signSystemContract)),
  cards: required(rowsOf(cardContract, MOST.cards)),
  card: required(number('Say which card.', { min: 0, max: MOST.cards, whole: true })),
  version: versionField,
});

/** How a player took one sign. Names a play and no touch. */
export interface SignAnswerRecord {
  id: SignAnswerId;
  personId: PersonId;
  /** null: nothing on. */
  meant: Meaning;
  answered: Meaning;
  seconds: number;
  takenAt: string;
}
/** As the server keeps it. */
export interface KeptSignAnswer extends SignAnswerRecord {
  seq: number;
}
const given = {
  id: required(id<SignAnswerId>()),
  meant: required(nullable(play)),
  answered: required(nullable(play)),
  seconds: required(number('Enter the seconds, 0 to 60.', { min: 0, max: 60, decimals: 2 })),
  takenAt: required(instant('Say when.')),
};
const answerFields = { ...given, personId: required(id<PersonId>()) };
const MOST_ANSWERS = 60;
export const signAnswersContract = contract<{ answers: SignAnswerRecord[] }>({
  answers: required(rowsOf(contract<SignAnswerRecord>(answerFields), MOST_ANSWERS)),
});
const seq = required(number('A number.', { min: 0, max: Number.MAX_SAFE_INTEGER, whole: true }));
/** What is new of them. */
export interface SignAnswersPage {
  answers: KeptSignAnswer[];
  next: number;
  more: boolean;
}
export const signAnswersPageContract = contract<SignAnswersPage>({
  answers: required(rowsOf(contract<KeptSignAnswer>({ ...answerFields, seq }), 1000)),
  next: seq,
  more: required(flag('true or false')),
});

/** A link to one player's drills. */
export interface DrillPassDraft {
  id: DrillPassId;
  personId: PersonId;
}
export interface OpenDrillPass extends DrillPassDraft {
  expiresAt: string;
}
/** The code itself is shown once. */
export interface DrillPass extends OpenDrillPass {
  code: string;
}
const drillPassFields = {
  id: required(id<DrillPassId>()),
  personId: required(id<PersonId>()),
};
const openDrillPassFields = { ...drillPassFields, expiresAt: required(instant('An end.')) };
const code = required(text('Enter the code from your coach, like K7QD-93XM.', { max: 20 }));
export const drillPassDraftContract = contract<DrillPassDraft>(drillPassFields);
export const openDrillPassesContract = listContract(contract<OpenDrillPass>(openDrillPassFields));
export const drillPassContract = contract<DrillPass>({ ...openDrillPassFields, code });

/** What a player's code opens: a round of signs to read (none where none are laid), plays of their level, and nothing else of the team. */
export interface Drill {
  team: string;
  player: string;
  level: LevelName;
  plays: string[];
  items: DrillItem[];
}
export const drillAskedContract = contract<{ code: string }>({ code });
export const drillContract = contract<Drill>({
  team: required(text('A team.', { max: 200 })),
  player: required(text('A player.', { max: 200 })),
  level: required(oneOf(LEVEL_NAMES, 'A level.')),
  plays: required(listOf(play, MOST.plays * 2)),
  items: required(
    rowsOf(
      contract<DrillItem>({
        touches: required(cycle(24)),
        context: required(
          contract<SignContext>({
            inning: required(number('An inning.', { min: 1, max: 30, whole: true })),
            outs: required(number('Outs.', { min: 0, max: 2, whole: true })),
            bases: required(number('Bases.', { min: 0, max: 7, whole: true })),
          }),
        ),
        means: required(nullable(play)),
      }),
      60,
    ),
  ),
});
/** A player's answers: whose they are is the code's to say. */
export type DrillAnswer = Omit<SignAnswerRecord, 'personId'>;
export const drillAnswersContract = contract<{ code: string; answers: DrillAnswer[] }>({
  code,
  answers: required(rowsOf(contract<DrillAnswer>(given), MOST_ANSWERS)),
});

/** A player's reps of a drill: whose they are is the code's to say. */
export type DrillRep = Omit<RepRecord, 'personId'>;
export const drillRepsContract = contract<{ code: string; rows: DrillRep[] }>({
  code,
  rows: required(rowsOf(playerRepContract, MOST_ANSWERS)),
});
