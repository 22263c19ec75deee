export { callSteal, CLEAR_MARGIN_SECONDS, VERDICTS, type StealCall, type Verdict } from './call.ts';
export { raceOf, type Leg, type LegName, type Race } from './race.ts';
export { stealTimes, type StealTimes, type TimeInUse } from './times.ts';
