import {
  FACTS,
  HOWS,
  LISTENERS,
  type Condition,
  type FactName,
  type Reminder,
} from '@bradyon/core/advice';
import { versionField, type Kept } from './kept.ts';
import {
  contract,
  listOf,
  oneOf,
  optional,
  required,
  rowsOf,
  scalar,
  text,
  wordOrNumber,
} from './rule.ts';

/** What a team changed of the reminders that are shipped, and its own. */
export interface Reminders {
  /** Shipped ones that are off, by id. */
  off: string[];
  /** Shipped ones said in the team's own words. */
  words: { id: string; say: string }[];
  own: Reminder[];
}

/** Nothing changed of what is shipped. */
export const NO_REMINDERS: Reminders = { off: [], words: [], own: [] };

const FACT_NAMES: readonly FactName[] = [...FACTS.flags, ...FACTS.counts, ...FACTS.words];
const MOST_OWN = 100;
const reminderId = text('Name the reminder, up to 60 letters.', { max: 60 });
const say = required(text('Type what to say, up to 80 letters.', { max: 80 }));

const conditionContract = contract<Condition>({
  fact: required(oneOf(FACT_NAMES, 'Choose what to ask.')),
  how: required(oneOf(HOWS, 'Choose how to compare.')),
  value: required(scalar('Enter a value.', { letters: 40, size: 1000 })),
});
const reminderContract = contract<Reminder>({
  id: required(reminderId),
  to: required(oneOf(LISTENERS, 'Choose who hears it.')),
  when: required(rowsOf(conditionContract, 10)),
  say,
  why: required(text('Say why, up to 200 letters.', { min: 0, max: 200 })),
  weight: required(
    wordOrNumber('first', 'Choose how much it matters, from 1 to 5.', { min: 1, max: 5 }),
  ),
  newWith: optional(listOf(oneOf(FACT_NAMES, 'Choose what makes it news.'), 5)),
  school: optional(text('Name the school, up to 40 letters.', { max: 40 })),
});

const reminderFields = {
  off: required(listOf(reminderId, 500)),
  words: required(
    rowsOf(contract<Reminders['words'][number]>({ id: required(reminderId), say }), 500),
  ),
  own: required(rowsOf(reminderContract, MOST_OWN)),
};
export const remindersContract = contract<Reminders>(reminderFields);
export const keptRemindersContract = contract<Kept<Reminders>>({
  ...reminderFields,
  version: versionField,
});
