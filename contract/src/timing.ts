import {
  ASIDE_REASONS,
  DELIVERY_STYLES,
  METHODS,
  READING_KINDS,
  describeMisfit,
  type AsideReason,
  type Reading,
  type ReadingDraft,
} from '@bradyon/core/timing';
import { TARGET_BASES, type AccountId, type PersonId, type ReadingId } from '@bradyon/core/units';
import {
  contract,
  id,
  instant,
  listContract,
  nullable,
  number,
  oneOf,
  required,
  text,
} from './rule.ts';

const draftFields = {
  id: required(id<ReadingId>()),
  personId: required(id<PersonId>('Say whose time this is.')),
  kind: required(oneOf(READING_KINDS, 'Say what was timed.')),
  seconds: required(number('Enter a time in seconds, up to 9.', { min: 0, max: 9 })),
  base: required(nullable(oneOf(TARGET_BASES, 'Choose second or third, or none.'))),
  style: required(nullable(oneOf(DELIVERY_STYLES, 'Choose leg lift or slide step, or none.'))),
  leadFeet: required(nullable(number('Enter a lead from 0 to 40 ft.', { min: 0, max: 40 }))),
  method: required(oneOf(METHODS, 'Say how it was timed.')),
  takenAt: required(instant('Say when it was timed.')),
};

export const readingDraftContract = contract<ReadingDraft>(draftFields, describeMisfit);

export const readingContract = contract<Reading>({
  ...draftFields,
  timedBy: required(id<AccountId>()),
  timedByName: required(text('A name.', { max: 80 })),
  asideReason: required(nullable(oneOf(ASIDE_REASONS, 'A reason.'))),
});
export const readingsContract = listContract(readingContract);

/** Sets a reading aside for a reason, or with null brings it back. */
export interface SetAside {
  reason: AsideReason | null;
}

export const setAsideContract = contract<SetAside>({
  reason: required(nullable(oneOf(ASIDE_REASONS, `Choose a reason: ${ASIDE_REASONS.join(', ')}.`))),
});
