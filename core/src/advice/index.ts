export {
  playsAtBat,
  playsInField,
  PLAYS,
  type JudgedSteal,
  type Play,
  type RankedPlay,
} from './plays.ts';
export { factsOf, NOTHING_KNOWN, type Facts, type Known } from './facts.ts';
export {
  choose,
  LISTENERS,
  type Listener,
  type Memory,
  type Reminder,
  type Said,
} from './reminders.ts';
export { SHIPPED } from './shipped.ts';
