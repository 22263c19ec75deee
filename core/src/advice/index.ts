export {
  pitchOutPays,
  playsAtBat,
  playsInField,
  type JudgedSteal,
  type Play,
  type RankedPlay,
} from './plays.ts';
export { FACTS, factsOf, NOTHING_KNOWN, type FactName, type Known } from './facts.ts';
export {
  choose,
  HOWS,
  type Condition,
  LISTENERS,
  type Listener,
  type Memory,
  type Reminder,
  type Said,
} from './reminders.ts';
export { SHIPPED } from './shipped.ts';
export { judgedOf, stealsHere, sumAloud, type StealHere } from './steals.ts';
