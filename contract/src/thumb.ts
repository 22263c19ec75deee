import type { ReadingKind, ThumbEvent, ThumbRep } from '@bradyon/core/timing';
import type { AccountId, ThumbRepId, TogetherId } from '@bradyon/core/units';
import {
  contract,
  id,
  instant,
  listContract,
  nullable,
  number,
  oneOf,
  optional,
  required,
  rowsOf,
  text,
} from './rule.ts';

/** One rep of the thumb drill as the device sends it. */
export interface ThumbRepDraft extends ThumbRep {
  id: ThumbRepId;
  takenAt: string;
}

/** The reps of one coach, the newest last. */
export interface StaffThumb {
  accountId: AccountId;
  reps: ThumbRep[];
}

const late = optional(number('Enter how late, -2 to 2 s.', { min: -2, max: 2 }));
const repFields = {
  lateSeconds: required(
    contract<Partial<Record<ThumbEvent, number>>>({
      firstMove: late,
      release: late,
      mitt: late,
      bag: late,
    }),
  ),
  frameSeconds: required(
    number('Enter the step of the picture, 0 to .2 s.', { min: 0, max: 0.2, decimals: 4 }),
  ),
};

export const thumbRepContract = contract<ThumbRepDraft>({
  id: required(id<ThumbRepId>()),
  ...repFields,
  takenAt: required(instant('Say when it was tapped.')),
});
export const thumbRepsContract = listContract(thumbRepContract);

export const staffThumbsContract = listContract(
  contract<StaffThumb>({
    accountId: required(id<AccountId>()),
    reps: required(rowsOf(contract<ThumbRep>(repFields), 500)),
  }),
);

/** What can be timed together. */
export const TOGETHER_KINDS = ['delivery', 'flight', 'pop'] as const satisfies ReadingKind[];
export type TogetherKind = (typeof TOGETHER_KINDS)[number];

export interface TogetherDraft {
  id: TogetherId;
  kind: TogetherKind;
}

/** One coach's time of one of the shared events; null: he missed it. */
export interface TogetherTimeDraft {
  event: number;
  seconds: number | null;
}
export interface TogetherTime extends TogetherTimeDraft {
  accountId: AccountId;
  name: string;
}
export interface Together extends TogetherDraft {
  startedAt: string;
  times: TogetherTime[];
}

const togetherFields = {
  id: required(id<TogetherId>()),
  kind: required(oneOf(TOGETHER_KINDS, 'Choose what you time together.')),
};
const timeFields = {
  event: required(number('Say which event this is, 1 to 500.', { min: 1, max: 500, whole: true })),
  seconds: required(
    nullable(number('Enter a time from .1 to 9 s.', { min: 0.1, max: 9, decimals: 3 })),
  ),
};

export const togetherDraftContract = contract<TogetherDraft>(togetherFields);
export const togetherTimeDraftContract = contract<TogetherTimeDraft>(timeFields);
export const togetherContract = contract<Together>({
  ...togetherFields,
  startedAt: required(instant('An instant.')),
  times: required(
    rowsOf(
      contract<TogetherTime>({
        ...timeFields,
        accountId: required(id<AccountId>()),
        name: required(text('A name.', { max: 80 })),
      }),
      5000,
    ),
  ),
});
export const togethersContract = listContract(togetherContract);
