import type { LevelName } from '../timing/index.ts';

/** What somebody's level is followed in. */
type Followed =
  | 'delivery'
  | 'flight'
  | 'pop'
  | 'steal'
  | 'homeToFirst'
  | 'dash'
  | 'jump'
  | 'leave'
  | 'pick'
  | 'diveBack'
  | 'outfieldThrow';

/** How far a level wanders in a day, seconds per root day; at high school. Judgement. */
export const WALK: Record<Followed, number> = {
  delivery: 0.007,
  flight: 0.003,
  pop: 0.008,
  steal: 0.007,
  homeToFirst: 0.009,
  dash: 0.01,
  jump: 0.005,
  leave: 0.006,
  pick: 0.007,
  diveBack: 0.008,
  outfieldThrow: 0.012,
};
/** Children change faster. Judgement. */
export const WALK_AT: Record<LevelName, number> = {
  pro: 0.6,
  college: 0.8,
  hs: 1,
  u14: 1.3,
  u12: 1.6,
  fpCollege: 0.8,
  fpHs: 1,
  fpU12: 1.6,
};

/** Where somebody starts from, and from which day a change is told. Seconds, days. */
export interface TrendSetting {
  meanSeconds: number;
  /** Between people of the level. */
  sdBetweenSeconds: number;
  /** Per root day. */
  walkSeconds: number;
  /** How unsure the bias of each thumb is. */
  timerBiasSd: readonly number[];
  anchorDay: number;
  endDay: number;
}

/** A reading. Seconds, days. */
export interface SeenReading {
  day: number;
  seconds: number;
  /** How uneven they are from time to time, and the timer. */
  withinSeconds: number;
  timerSdSeconds: number;
  /** Of the thumbs; null: a clip or a gate. */
  timer: number | null;
}

/** A level today and against the anchor day. Seconds. */
export interface Trend {
  level: number;
  levelSd: number;
  change: number;
  changeSd: number;
  /** Readings up to the anchor day, and after. */
  before: number;
  after: number;
  low95: number;
  high95: number;
  /** Called only beyond doubt. */
  verdict: 'quicker' | 'slower' | 'cannotTell';
  /** How far each reading lay from what was expected, in its own doubt. */
  z: number[];
  logLikelihood: number;
}

const NINETEEN_IN_TWENTY = 1.959963984540054;
const LEAST_EITHER_SIDE = 3;
const [NOW, THEN, FIRST_BIAS] = [0, 1, 2];

/**
 * Somebody's level that wanders from day to day, seen through thumbs of unknown bias: exact, reading by reading.
 * @param seen in order of their days
 */
export function trendOf(setting: TrendSetting, seen: readonly SeenReading[]): Trend {
  const size = FIRST_BIAS + setting.timerBiasSd.length;
  const state = new Array<number>(size).fill(0);
  const cov = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  const at = (row: number, column: number): number => cov[row]?.[column] ?? 0;
  const set = (row: number, column: number, value: number): void => {
    const line = cov[row];
    if (line) line[column] = value;
  };
  state[NOW] = setting.meanSeconds;
  set(NOW, NOW, setting.sdBetweenSeconds ** 2);
  for (const [timer, sd] of setting.timerBiasSd.entries()) {
    set(FIRST_BIAS + timer, FIRST_BIAS + timer, sd ** 2);
  }
  let day = seen[0] ? Math.min(seen[0].day, setting.anchorDay) : setting.anchorDay;
  let isAnchored = false;
  const goTo = (until: number): void => {
    set(NOW, NOW, at(NOW, NOW) + setting.walkSeconds ** 2 * (until - day));
    day = until;
  };
  /** The level of the anchor day is a copy of that moment's. */
  const anchor = (): true => {
    goTo(setting.anchorDay);
    state[THEN] = state[NOW] ?? 0;
    for (let other = 0; other < size; other += 1) {
      const value = at(NOW, other);
      set(THEN, other, value);
      set(other, THEN, value);
    }
    set(THEN, THEN, at(NOW, NOW));
    return true;
  };
  const z: number[] = [];
  let logLikelihood = 0;
  for (const reading of seen) {
    if (!isAnchored && reading.day >= setting.anchorDay) isAnchored = anchor();
    goTo(reading.day);
    const bias = reading.timer === null ? null : FIRST_BIAS + reading.timer;
    const gain = state.map((_, row) => at(row, NOW) + (bias === null ? 0 : at(row, bias)));
    const seenThrough = (column: readonly number[]): number =>
      (column[NOW] ?? 0) + (bias === null ? 0 : (column[bias] ?? 0));
    const variance = seenThrough(gain) + reading.withinSeconds ** 2 + reading.timerSdSeconds ** 2;
    const off = reading.seconds - seenThrough(state);
    for (let row = 0; row < size; row += 1) {
      state[row] = (state[row] ?? 0) + ((gain[row] ?? 0) * off) / variance;
      for (let column = 0; column < size; column += 1) {
        set(row, column, at(row, column) - ((gain[row] ?? 0) * (gain[column] ?? 0)) / variance);
      }
    }
    z.push(off / Math.sqrt(variance));
    logLikelihood -= (Math.log(2 * Math.PI * variance) + off ** 2 / variance) / 2;
  }
  if (!isAnchored) anchor();
  goTo(setting.endDay);
  const change = (state[NOW] ?? 0) - (state[THEN] ?? 0);
  const changeSd = Math.sqrt(Math.max(0, at(NOW, NOW) + at(THEN, THEN) - 2 * at(NOW, THEN)));
  const before = seen.filter((each) => each.day <= setting.anchorDay).length;
  const after = seen.length - before;
  const [low95, high95] = [
    change - NINETEEN_IN_TWENTY * changeSd,
    change + NINETEEN_IN_TWENTY * changeSd,
  ];
  const isTold = before >= LEAST_EITHER_SIDE && after >= LEAST_EITHER_SIDE;
  return {
    level: state[NOW] ?? 0,
    levelSd: Math.sqrt(at(NOW, NOW)),
    change,
    changeSd,
    before,
    after,
    low95,
    high95,
    verdict: isTold && high95 < 0 ? 'quicker' : isTold && low95 > 0 ? 'slower' : 'cannotTell',
    z,
    logLikelihood,
  };
}

/** What is known of somebody today, so many days after it was known that well. Seconds. */
export function doubtToday(doubtThen: number, walk: number, days: number): number {
  return Math.sqrt(doubtThen ** 2 + walk ** 2 * days);
}

/** After so many days a number is out of date: its doubt has grown by half. */
export function staleAfterDays(doubtThen: number, walk: number): number {
  return (1.25 * doubtThen ** 2) / walk ** 2;
}
