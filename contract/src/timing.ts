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
  contract,
  flag,
  id,
  instant,
  listContract,
  nullable,
  number,
  oneOf,
  required,
  rowsOf,
  text,
} from './rule.ts';

const feet = (say: string) => nullable(number(say, { min: 0, max: 400 }));

const draftFields = {
  id: required(id<ReadingId>()),
  personId: required(id<PersonId>('Say whose time this is.')),
  kind: required(oneOf(READING_KINDS, 'Say what was timed.')),
  seconds: required(number('Enter a time in seconds, up to 20.', { min: -1, max: 20 })),
  base: required(nullable(oneOf(BASES, 'Choose a base, or none.'))),
  style: required(nullable(oneOf(DELIVERY_STYLES, 'Choose leg lift or slide step, or none.'))),
  leadFeet: required(nullable(number('Enter a lead from 0 to 40 ft.', { min: 0, max: 40 }))),
  start: required(nullable(oneOf(START_TECHNIQUES, 'Choose a start from the list, or none.'))),
  fromFeet: required(feet('Enter where the dash began, 0 to 400 ft.')),
  toFeet: required(feet('Enter where the dash ended, 0 to 400 ft.')),
  method: required(oneOf(METHODS, 'Say how it was timed.')),
  resolutionSeconds: required(
    nullable(number('Enter the step of the instrument, 0 to 1 s.', { min: 0, max: 1 })),
  ),
  movedFrom: required(nullable(id<ReadingId>())),
  takenAt: required(instant('Say when it was timed.')),
};

export const readingDraftContract = contract<ReadingDraft>(draftFields, describeMisfit);

export const readingContract = contract<Reading>({
  ...draftFields,
  timedBy: required(id<AccountId>()),
  timedByName: required(text('A name.', { max: 80 })),
  asideReason: required(nullable(oneOf(ASIDE_REASONS, 'A reason.'))),
  vouched: required(flag('true or false')),
});
export const readingsContract = listContract(readingContract);

/** Sets a reading aside for a reason, or with null lets it count; vouched for: it is right as it is. */
export interface Judgement {
  reason: AsideReason | null;
  vouched: boolean;
}

export const judgementContract = contract<Judgement>({
  reason: required(nullable(oneOf(ASIDE_REASONS, `Choose a reason: ${ASIDE_REASONS.join(', ')}.`))),
  vouched: required(flag('Say whether you vouch for it.')),
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

export const readingImportContract = contract<ReadingImport>(
  { readings: required(rowsOf(readingDraftContract, IMPORT_ROWS)) },
  ({ readings }) => {
    for (const [index, reading] of readings.entries()) {
      const misfit = describeMisfit(reading);
      if (misfit) {
        return { path: `readings.${String(index)}.${misfit.path}`, message: misfit.message };
      }
    }
    return null;
  },
);

const count = number('A count.', { min: 0, max: IMPORT_ROWS, whole: true });
export const importedContract = contract<Imported>({
  added: required(count),
  alreadyThere: required(count),
});
