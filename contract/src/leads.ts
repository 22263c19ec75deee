import {
  DIVE_RESULTS,
  LEAD_BASES,
  LEAD_MOMENTS,
  type LeadLook,
  type TestDive,
} from '@bradyon/core/leads';
import type { LeadLookId, PersonId, TestDiveId } from '@bradyon/core/units';
import {
  contract,
  id,
  instant,
  listContract,
  nullable,
  number,
  oneOf,
  required,
  type Misfit,
} from './rule.ts';
import { tallyContracts, tallyFields } from './tally.ts';

/** A test dive of somebody, as the device sends it and the server keeps it. */
export interface TestDiveRecord extends TestDive {
  id: TestDiveId;
  personId: PersonId;
  takenAt: string;
}

/** What of a test dive does not go together, or null. */
function testDiveMisfit({ result, inchesShort }: TestDiveRecord): Misfit | null {
  if ((result === 'short') === (inchesShort !== null)) return null;
  return {
    path: 'inchesShort',
    message:
      result === 'short'
        ? 'Enter how many inches short the hand was.'
        : 'Only a dive that came up short has inches.',
  };
}

export const testDiveContract = contract<TestDiveRecord>(
  {
    id: required(id<TestDiveId>()),
    personId: required(id<PersonId>()),
    leadFeet: required(number('Enter the lead, 1 to 30 ft.', { min: 1, max: 30, decimals: 2 })),
    result: required(oneOf(DIVE_RESULTS, 'Choose how the dive ended.')),
    inchesShort: required(
      nullable(number('Enter how many inches short, 1 to 60.', { min: 1, max: 60, decimals: 1 })),
    ),
    takenAt: required(instant('Say when the dive was.')),
  },
  testDiveMisfit,
);
export const testDivesContract = listContract(testDiveContract);

/** How far off a runner was seen once, or the undoing of it. */
export interface LeadLookRecord extends LeadLook {
  id: LeadLookId;
  personId: PersonId;
  /** The one that was a wrong tap; null: this is a look. */
  undoes: LeadLookId | null;
  takenAt: string;
}

export const leadLookTally = tallyContracts(
  contract<LeadLookRecord>({
    ...tallyFields<LeadLookId>(),
    base: required(oneOf(LEAD_BASES, 'Choose first or second as the base.')),
    moment: required(oneOf(LEAD_MOMENTS, 'Say when the runner was seen.')),
    feet: required(number('Enter the lead, 0 to 40 ft.', { min: 0, max: 40, decimals: 2 })),
  }),
);
