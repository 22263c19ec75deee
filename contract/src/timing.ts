import {
  ASIDE_REASONS,
  DELIVERY_STYLES,
  METHODS,
  READING_KINDS,
  START_TECHNIQUES,
  describeMisfit,
  type AsideReason,
  type Reading,
  type ReadingDraft,
} from '@bradyon/core/timing';
import { BASES, type AccountId, type PersonId, type ReadingId } from '@bradyon/core/units';
import {
  constant,
  contract,
  flag,
  id,
  instant,
  listOf,
  MOST_MISFITS,
  nullable,
  number,
  oneOf,
  oneShapeOf,
  required,
  rowsOf,
  text,
  type Misfit,
} from './rule.ts';

const feet = (say: string) => nullable(number(say, { min: 0, max: 400, decimals: 2 }));

const draftFields = {
  id: required(id<ReadingId>()),
  personId: required(id<PersonId>('Choose whose time this is.')),
  kind: required(oneOf(READING_KINDS, 'Choose what was timed.')),
  seconds: required(
    number('Enter a time in seconds, up to 20.', { min: -1, max: 20, decimals: 3 }),
  ),
  base: required(nullable(oneOf(BASES, 'Choose a base, or none.'))),
  style: required(nullable(oneOf(DELIVERY_STYLES, 'Choose leg lift or slide step, or none.'))),
  leadFeet: required(
    nullable(number('Enter a lead from 0 to 40 ft.', { min: 0, max: 40, decimals: 2 })),
  ),
  start: required(nullable(oneOf(START_TECHNIQUES, 'Choose a start from the list, or none.'))),
  fromFeet: required(feet('Enter where the sprint started, 0 to 400 ft.')),
  toFeet: required(feet('Enter where the sprint ended, 0 to 400 ft.')),
  method: required(oneOf(METHODS, 'Say how it was timed.')),
  resolutionSeconds: required(
    nullable(
      number('Enter the step of the instrument, 0 to 1 s.', { min: 0, max: 1, decimals: 6 }),
    ),
  ),
  movedFrom: required(nullable(id<ReadingId>())),
  takenAt: required(instant('Say when it was timed.')),
};

/** What of a reading does not go together, or null. */
function readingMisfit(reading: ReadingDraft): Misfit | null {
  return reading.movedFrom === reading.id
    ? { path: 'movedFrom', message: 'A time cannot replace itself.' }
    : describeMisfit(reading);
}

export const readingDraftContract = contract<ReadingDraft>(draftFields, readingMisfit);

const keptFields = {
  ...draftFields,
  timedBy: required(id<AccountId>()),
  timedByName: required(text('A name.', { max: 80 })),
  asideReason: required(nullable(oneOf(ASIDE_REASONS, 'A reason.'))),
  vouched: required(flag('true or false')),
};
export const readingContract = contract<Reading>(keptFields, readingMisfit);

/** What is new of a team's readings since a mark. */
export interface ReadingsPage {
  /** Added or judged since, in the order in which that happened. */
  readings: Reading[];
  /** Deleted since. */
  gone: ReadingId[];
  /** The mark to ask from the next time. */
  next: number;
  /** Whether there is more already. */
  more: boolean;
}

/** Rows of one page, at most: under half a megabyte. */
export const PAGE_ROWS = 1000;

const markRule = number('Send a mark: a whole number from 0.', {
  min: 0,
  max: Number.MAX_SAFE_INTEGER,
  whole: true,
});

export const readingsPageContract = contract<ReadingsPage>({
  readings: required(rowsOf(readingContract, PAGE_ROWS)),
  gone: required(listOf(id<ReadingId>(), PAGE_ROWS)),
  next: required(markRule),
  more: required(flag('true or false')),
});

/** From where a page is asked for, as it stands in an address. */
export interface Since {
  since: number;
}
export const sinceContract = contract<Since>({ since: required(markRule) });

/** Sets a reading aside for a reason, or with null lets it count; vouched for: it is right as it is. */
interface Judgement {
  reason: AsideReason | null;
  vouched: boolean;
}

const judgementFields = {
  reason: required(nullable(oneOf(ASIDE_REASONS, `Choose a reason: ${ASIDE_REASONS.join(', ')}.`))),
  vouched: required(flag('Say whether you vouch for it.')),
};

/** One thing done to a team's readings: one is added, judged, or deleted for good. */
export type ReadingStep =
  | { step: 'add'; draft: ReadingDraft }
  | ({ step: 'judge'; readingId: ReadingId } & Judgement)
  | { step: 'delete'; readingId: ReadingId };

/** Several in the order in which they were done. */
export interface ReadingSteps {
  steps: ReadingStep[];
}

/** What became of each. A refusal is that step's alone: the others are done. */
export type StepAnswer =
  | { ok: true; reading: Reading | null }
  | { ok: false; status: number; detail: string; errors: Misfit[] };
export interface StepAnswers {
  answers: StepAnswer[];
}

/** Steps in one request, at most. */
const MOST_STEPS = 200;

const readingId = required(id<ReadingId>('Say which time it is.'));
const stepContract = oneShapeOf<ReadingStep, 'step'>('step', {
  add: contract<Extract<ReadingStep, { step: 'add' }>>({
    step: required(oneOf(['add'], 'add')),
    draft: required(readingDraftContract),
  }),
  judge: contract<Extract<ReadingStep, { step: 'judge' }>>({
    step: required(oneOf(['judge'], 'judge')),
    readingId,
    ...judgementFields,
  }),
  delete: contract<Extract<ReadingStep, { step: 'delete' }>>({
    step: required(oneOf(['delete'], 'delete')),
    readingId,
  }),
});

export const readingStepsContract = contract<ReadingSteps>({
  steps: required(rowsOf(stepContract, MOST_STEPS)),
});

const words = required(text('Words.', { max: 1000 }));
const misfitRule = contract<Misfit>({
  path: required(text('A path.', { min: 0, max: 200 })),
  message: words,
});
const doneRule = contract<Extract<StepAnswer, { ok: true }>>({
  ok: required(constant(true)),
  reading: required(nullable(readingContract)),
});
const refusedRule = contract<Extract<StepAnswer, { ok: false }>>({
  ok: required(constant(false)),
  status: required(number('A status.', { min: 400, max: 499, whole: true })),
  detail: words,
  errors: required(rowsOf(misfitRule, MOST_MISFITS)),
});
export const stepAnswersContract = contract<StepAnswers>({
  answers: required(
    rowsOf(oneShapeOf<StepAnswer, 'ok'>('ok', { true: doneRule, false: refusedRule }), MOST_STEPS),
  ),
});

/** Many rows at once, as a file brings them. */
export interface ReadingImport {
  readings: ReadingDraft[];
}
/** What became of them: a row whose id is known already is not doubled. */
export interface Imported {
  added: number;
  alreadyThere: number;
}

/** Rows sent in one request, at most. */
export const IMPORT_ROWS = 200;

export const readingImportContract = contract<ReadingImport>({
  readings: required(rowsOf(readingDraftContract, IMPORT_ROWS)),
});

const count = number('A count.', { min: 0, max: IMPORT_ROWS, whole: true });
export const importedContract = contract<Imported>({
  added: required(count),
  alreadyThere: required(count),
});
