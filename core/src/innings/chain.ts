import {
  describeAdvanceMisfit,
  describeSharesMisfit,
  EVENTS,
  type Advance,
  type BattingEvent,
  type BattingRates,
  type SituationFactors,
} from './rates.ts';
import {
  basesOf,
  baseOut,
  doneBy,
  FIRST,
  loadOf,
  outsOf,
  overWith,
  SECOND,
  STATES,
  THIRD,
  type BaseOut,
  type Bases,
} from './state.ts';

/** One way a step of the half-inning can go. */
export interface Transition {
  to: BaseOut;
  runs: number;
  /** Above 0; those of a state add up to 1. */
  chance: number;
}

/** All steps of one plate appearance, by the state before it. */
export type Chain = readonly (readonly Transition[])[];

/** How a batter's half goes. */
export interface Batting {
  rates: BattingRates;
  advance: Advance;
  situation: SituationFactors;
}

const CLOSE = 1e-12;

/**
 * The steps from every state: at most one thing on the bases, then the plate appearance from where
 * that left it. When the bases make the third out the same batter leads off the next half.
 * @throws RangeError when rates or advancement do not add up, with the reason
 */
export function chainOf(batting: Batting): Chain {
  checked(batting);
  return Array.from({ length: STATES }, (_, from) => stepsOf(batting, from));
}

/** The steps from one state alone; as chainOf. */
export function stepsFrom(batting: Batting, from: BaseOut): Transition[] {
  checked(batting);
  return stepsOf(batting, from);
}

function checked({ rates, advance }: Batting): void {
  const misfit = describeSharesMisfit(rates) ?? describeAdvanceMisfit(advance);
  if (misfit) throw new RangeError(`chainOf: ${misfit}`);
}

function stepsOf({ rates, advance, situation }: Batting, from: BaseOut): Transition[] {
  const steps = new Steps(from);
  for (const before of onTheBases(basesOf(from), outsOf(from), advance)) {
    if (before.outs >= 3) {
      steps.end(before, 0);
      continue;
    }
    const now = ratesIn(rates, situation, before.bases, before.outs);
    const plays = playsOf(advance)[baseOut(before.bases, before.outs)];
    for (const event of EVENTS) {
      const share = before.chance * now[event];
      for (const { bases, outs, runs, chance } of plays?.[event] ?? []) {
        steps.add({ bases, outs, runs: before.runs + runs, chance: share * chance });
      }
    }
  }
  return steps.list();
}

/** Where a play leaves the half. */
export interface Play {
  bases: Bases;
  /** 3 or more: the half is over. */
  outs: number;
  runs: number;
  chance: number;
}

/** Gathers the steps from one state, those that come to the same as one. */
export class Steps {
  private readonly byEnd = new Map<number, Transition>();

  constructor(private readonly from: BaseOut) {}

  /** A play after which the batter is done. */
  add(play: Play): void {
    if (play.outs >= 3) this.end(play, 1);
    else this.keep(baseOut(play.bases, play.outs), play.runs, play.chance, 1);
  }

  /** @param finished 1 when the batter is done, 0 when the half ended on the bases */
  end({ runs, chance }: Pick<Play, 'runs' | 'chance'>, finished: 0 | 1): void {
    const left = loadOf(this.from) + finished - runs - 3;
    this.keep(overWith(left), runs, chance, finished);
  }

  /** A step that is known already, of another chain from the same state. */
  take({ to, runs, chance }: Transition): void {
    this.keep(to, runs, chance, doneBy(this.from, to, runs));
  }

  list(): Transition[] {
    return [...this.byEnd.values()];
  }

  private keep(to: BaseOut, runs: number, chance: number, finished: 0 | 1): void {
    if (chance <= 0) return;
    // Nobody gets lost: whoever batted is out, on base, or home.
    if (runs + loadOf(to) - loadOf(this.from) !== finished) {
      throw new RangeError(`a play from ${String(this.from)} to ${String(to)} loses a runner`);
    }
    const key = to * 8 + runs;
    const known = this.byEnd.get(key);
    if (known) known.chance += chance;
    else this.byEnd.set(key, { to, runs, chance });
  }
}

/** A wild pitch, a steal, or nothing, before the plate appearance. */
function onTheBases(bases: Bases, outs: number, advance: Advance): Play[] {
  if (bases === 0) return [{ bases, outs, runs: 0, chance: 1 }];
  const onThird = bases & THIRD ? 1 : 0;
  const wild = onThird ? advance.wildPitchFromThird : advance.wildPitch;
  const plays: Play[] = [{ bases: (bases << 1) & 7, outs, runs: onThird, chance: wild }];
  let tries = 0;
  if ((bases & (FIRST | SECOND)) === FIRST) {
    const { stealSecondTry: share, stealSecondSafe: safe } = advance;
    tries = share;
    const others = bases & THIRD;
    plays.push({ bases: others | SECOND, outs, runs: 0, chance: share * safe });
    plays.push({ bases: others, outs: outs + 1, runs: 0, chance: share * (1 - safe) });
  } else if (bases === SECOND || bases === (FIRST | SECOND)) {
    const { stealThirdTry: share, stealThirdSafe: safe } = advance;
    tries = share;
    const both = bases !== SECOND;
    plays.push({ bases: both ? SECOND | THIRD : THIRD, outs, runs: 0, chance: share * safe });
    plays.push({ bases: both ? SECOND : 0, outs: outs + 1, runs: 0, chance: share * (1 - safe) });
  }
  plays.push({ bases, outs, runs: 0, chance: 1 - wild - tries });
  return plays.filter(({ chance }) => chance > CLOSE);
}

/** A batter's rates with these bases and outs; what they gain or lose is outs in play. */
function ratesIn(
  rates: BattingRates,
  { walkFirstOpen, hitsFirstHeld, hitsTwoOuts }: SituationFactors,
  bases: Bases,
  outs: number,
): BattingRates {
  const walk = bases !== 0 && (bases & FIRST) === 0 ? walkFirstOpen : 1;
  const held = bases & FIRST && outs < 2 ? hitsFirstHeld : 1;
  const late = outs === 2 ? hitsTwoOuts : 1;
  if (walk === 1 && held === 1 && late === 1) return rates;
  const now = {
    ...rates,
    walk: rates.walk * walk,
    single: rates.single * held * late,
    double: rates.double * late,
    triple: rates.triple * late,
    homeRun: rates.homeRun * late,
  };
  const more =
    now.walk -
    rates.walk +
    (now.single - rates.single) +
    (now.double - rates.double) +
    (now.triple - rates.triple) +
    (now.homeRun - rates.homeRun);
  const inPlay = rates.groundOut + rates.flyOut + rates.popLineOut;
  const share = (inPlay - more) / inPlay;
  now.groundOut *= share;
  now.flyOut *= share;
  now.popLineOut *= share;
  return now;
}

/** What each event comes to, by the state it happens in. */
type Plays = readonly Record<BattingEvent, Play[]>[];

/** Batters of a team run alike: what an event comes to is worked out once for all of them. */
const known = new WeakMap<Advance, Plays>();

function playsOf(advance: Advance): Plays {
  const plays =
    known.get(advance) ??
    Array.from({ length: STATES }, (_, state) => playsIn(basesOf(state), outsOf(state), advance));
  known.set(advance, plays);
  return plays;
}

function playsIn(bases: Bases, outs: number, advance: Advance): Record<BattingEvent, Play[]> {
  return {
    strikeout: [{ bases, outs: outs + 1, runs: 0, chance: 1 }],
    walk: walk(bases, outs),
    single: single(bases, outs, advance),
    double: double(bases, outs, advance),
    triple: [{ bases: THIRD, outs, runs: count(bases), chance: 1 }],
    homeRun: [{ bases: 0, outs, runs: count(bases) + 1, chance: 1 }],
    reachOnError: onError(bases, outs, advance),
    groundOut: groundOut(bases, outs, advance),
    flyOut: flyOut(bases, outs, advance),
    popLineOut: popLineOut(bases, outs, advance),
  };
}

function count(bases: Bases): number {
  return (bases & 1) + ((bases >> 1) & 1) + ((bases >> 2) & 1);
}
const has = (bases: Bases, base: number): boolean => (bases & base) !== 0;
const scores = (bases: Bases): number => (has(bases, THIRD) ? 1 : 0);

/** Only who is forced moves. */
function walk(bases: Bases, outs: number): Play[] {
  if (!has(bases, FIRST)) return [{ bases: bases | FIRST, outs, runs: 0, chance: 1 }];
  if (!has(bases, SECOND)) return [{ bases: bases | SECOND, outs, runs: 0, chance: 1 }];
  return [{ bases: 7, outs, runs: scores(bases), chance: 1 }];
}

function single(bases: Bases, outs: number, advance: Advance): Play[] {
  const { secondToHomeOut, firstToThirdOut } = advance;
  const home = advance.secondToHomeOnSingle[outs] ?? 0;
  const third = advance.firstToThirdOnSingle[outs] ?? 0;
  const lead: Play[] = has(bases, SECOND)
    ? [
        { bases: 0, outs, runs: 1, chance: home },
        { bases: 0, outs: outs + 1, runs: 0, chance: secondToHomeOut },
        { bases: THIRD, outs, runs: 0, chance: 1 - home - secondToHomeOut },
      ]
    : [{ bases: 0, outs, runs: 0, chance: 1 }];
  return lead.flatMap((play): Play[] => {
    const runs = play.runs + scores(bases);
    const placed = { ...play, bases: play.bases | FIRST, runs };
    if (!has(bases, FIRST)) return [placed];
    const toSecond = { ...placed, bases: placed.bases | SECOND };
    if (has(play.bases, THIRD) || play.outs >= 3) return [toSecond];
    return [
      { ...placed, bases: placed.bases | THIRD, chance: play.chance * third },
      { ...placed, outs: play.outs + 1, chance: play.chance * firstToThirdOut },
      { ...toSecond, chance: play.chance * (1 - third - firstToThirdOut) },
    ];
  });
}

function double(bases: Bases, outs: number, advance: Advance): Play[] {
  const runs = (has(bases, SECOND) ? 1 : 0) + scores(bases);
  if (!has(bases, FIRST)) return [{ bases: SECOND, outs, runs, chance: 1 }];
  const home = advance.firstToHomeOnDouble[outs] ?? 0;
  const out = advance.firstToHomeOut;
  return [
    { bases: SECOND, outs, runs: runs + 1, chance: home },
    { bases: SECOND, outs: outs + 1, runs, chance: out },
    { bases: SECOND | THIRD, outs, runs, chance: 1 - home - out },
  ];
}

function onError(bases: Bases, outs: number, { errorExtraBase }: Advance): Play[] {
  return [
    { bases: ((bases << 1) & 7) | FIRST, outs, runs: scores(bases), chance: 1 - errorExtraBase },
    {
      bases: ((bases << 2) & 7) | SECOND,
      outs,
      runs: scores(bases) + (has(bases, SECOND) ? 1 : 0),
      chance: errorExtraBase,
    },
  ];
}

const HALF_OVER = { bases: 0, outs: 3, runs: 0 };

function groundOut(bases: Bases, outs: number, advance: Advance): Play[] {
  if (outs === 2) return [{ ...HALF_OVER, chance: 1 }];
  if (has(bases, FIRST)) return groundWithForce(bases, outs, advance);
  const out = outs + 1;
  if (has(bases, THIRD)) return groundFromThird(bases, out, advance);
  if (bases === SECOND) {
    const { groundSecondToThird: third, groundOutAtThird: caught } = advance;
    return [
      { bases: THIRD, outs: out, runs: 0, chance: third },
      { bases: FIRST, outs: out, runs: 0, chance: caught },
      { bases: SECOND, outs: out, runs: 0, chance: 1 - third - caught },
    ];
  }
  return [{ bases: 0, outs: out, runs: 0, chance: 1 }];
}

function groundFromThird(bases: Bases, out: number, advance: Advance): Play[] {
  const { groundScoreFromThird: home, groundOutAtHome: caught, groundSecondToThird } = advance;
  const withSecond = has(bases, SECOND);
  const scored: Play[] = withSecond
    ? [
        { bases: THIRD, outs: out, runs: 1, chance: home * groundSecondToThird },
        { bases: SECOND, outs: out, runs: 1, chance: home * (1 - groundSecondToThird) },
      ]
    : [{ bases: 0, outs: out, runs: 1, chance: home }];
  return [
    ...scored,
    { bases: FIRST | (withSecond ? THIRD : 0), outs: out, runs: 0, chance: caught },
    { bases, outs: out, runs: 0, chance: 1 - home - caught },
  ];
}

function groundWithForce(bases: Bases, outs: number, advance: Advance): Play[] {
  const { doublePlay, forceOut } = advance;
  const times = (share: number, plays: Play[]): Play[] =>
    plays.map((play) => ({ ...play, chance: share * play.chance }));
  return [
    ...times(doublePlay, twoOuts(bases, outs, advance)),
    ...times((1 - doublePlay) * forceOut, forced(bases, outs + 1, advance)),
    ...times((1 - doublePlay) * (1 - forceOut), batterOut(bases, outs + 1, advance)),
  ];
}

function twoOuts(bases: Bases, outs: number, { doublePlayAtHome }: Advance): Play[] {
  if (outs === 1) return [{ ...HALF_OVER, chance: 1 }];
  if (bases === 7) {
    return [
      { bases: SECOND | THIRD, outs: 2, runs: 0, chance: doublePlayAtHome },
      { bases: THIRD, outs: 2, runs: 1, chance: 1 - doublePlayAtHome },
    ];
  }
  const on = has(bases, SECOND) ? THIRD : 0;
  return [{ bases: on, outs: 2, runs: scores(bases), chance: 1 }];
}

/** One runner is forced out, the batter is safe at first. */
function forced(bases: Bases, out: number, advance: Advance): Play[] {
  const { leadForce, groundScoreFirstAndThird: home } = advance;
  if (has(bases, SECOND)) {
    return [
      { bases, outs: out, runs: 0, chance: leadForce },
      { bases: FIRST | THIRD, outs: out, runs: scores(bases), chance: 1 - leadForce },
    ];
  }
  if (!has(bases, THIRD)) return [{ bases: FIRST, outs: out, runs: 0, chance: 1 }];
  return [
    { bases: FIRST, outs: out, runs: 1, chance: home },
    { bases: FIRST | THIRD, outs: out, runs: 0, chance: 1 - home },
  ];
}

/** The batter is out, who is forced moves up one. */
function batterOut(bases: Bases, out: number, { groundScoreFirstAndThird: home }: Advance): Play[] {
  if (has(bases, SECOND)) {
    return [{ bases: SECOND | THIRD, outs: out, runs: scores(bases), chance: 1 }];
  }
  if (!has(bases, THIRD)) return [{ bases: SECOND, outs: out, runs: 0, chance: 1 }];
  return [
    { bases: SECOND, outs: out, runs: 1, chance: home },
    { bases: SECOND | THIRD, outs: out, runs: 0, chance: 1 - home },
  ];
}

function flyOut(bases: Bases, outs: number, advance: Advance): Play[] {
  if (outs === 2) return [{ ...HALF_OVER, chance: 1 }];
  const out = outs + 1;
  const { flyScoreFromThird: home, flyOutAtHome: caught } = advance;
  const others = bases & (FIRST | SECOND);
  let plays: Play[] = has(bases, THIRD)
    ? [
        { bases: others, outs: out, runs: 1, chance: home },
        { bases: others, outs: out + 1, runs: 0, chance: caught },
        { bases, outs: out, runs: 0, chance: 1 - home - caught },
      ]
    : [{ bases, outs: out, runs: 0, chance: 1 }];
  plays = plays.flatMap((play) => tagUp(play, SECOND, THIRD, advance.flySecondToThird));
  return plays.flatMap((play) => tagUp(play, FIRST, SECOND, advance.flyFirstToSecond));
}

/** Whoever is on a base moves to the next after the catch, if that is free and the half goes on. */
function tagUp(play: Play, from: number, to: number, share: number): Play[] {
  if (play.outs >= 3 || !has(play.bases, from) || has(play.bases, to)) return [play];
  return [
    { ...play, bases: (play.bases & ~from) | to, chance: play.chance * share },
    { ...play, chance: play.chance * (1 - share) },
  ];
}

function popLineOut(bases: Bases, outs: number, { linerDoubleOff }: Advance): Play[] {
  const out = { bases, outs: outs + 1, runs: 0 };
  if (bases === 0 || outs === 2) return [{ ...out, chance: 1 }];
  // The runner behind is the one who is off too far.
  const ahead = bases & (bases - 1);
  return [
    { bases: ahead, outs: outs + 2, runs: 0, chance: linerDoubleOff },
    { ...out, chance: 1 - linerDoubleOff },
  ];
}
