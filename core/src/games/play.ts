import type { Base, PersonId } from '../units/index.ts';
import type { EventOf, Move } from './events.ts';
import type { Reason } from './reasons.ts';
import {
  AT_BAT,
  baseNumber,
  HOME,
  OCCUPIED,
  type At,
  type Bases,
  type DoneMove,
  type On,
} from './state.ts';

/**
 * What the law says of the batter in a play. `safe`: reaches that base at least, `had` where being
 * out at first comes only after having had it. `outFirst`: out before anything else (a catch, a
 * strikeout). `outLast`: out at first after everything told.
 */
export type BatterLaw =
  | { kind: 'safe'; base: Exclude<At, 0>; had: boolean; choice: boolean }
  | { kind: 'outFirst' }
  | { kind: 'outLast'; mayReach: boolean };

/** A play to be read: what is told of it, and what the law says whatever is told. */
export interface Play {
  outs: number;
  bases: Bases;
  batter: PersonId;
  told: readonly Move[];
  /** null: the batter's turn goes on. */
  law: BatterLaw | null;
  /** `batter`: first base is theirs and forced runners move up; `all`: every runner has a base. */
  award: 'none' | 'batter' | 'all';
  isCatch: boolean;
  appeals: readonly EventOf<'appeal'>[];
}

/** What came of it. */
export interface PlayEnd {
  bases: Bases;
  outs: number;
  /** Runs that count by the law of the bases; limits and ends are another matter. */
  runs: number;
  moves: readonly DoneMove[];
}

interface Step {
  from: At;
  to: At | null;
  out: At | null;
  told: Move | null;
}

/** Reads one play by the law of runners, or says why it cannot have been. */
export function readPlay(play: Play): PlayEnd | Reason {
  const steps = stepsOf(play);
  if (typeof steps === 'string') return steps;
  const { bases, law, award } = play;
  const whoIs = (from: At): PersonId | null => (from === AT_BAT ? play.batter : bases[from as On]);

  let outs = play.outs;
  const done: DoneMove[] = [];
  const out = new Set<At>();
  const end = new Map<At, At>();
  let scored: At[] = [];
  let noRun = false;
  const isForced = (from: At): boolean => {
    if (award === 'batter' || law === null || law.kind === 'outFirst' || out.has(AT_BAT))
      return false;
    if (law.kind === 'outLast' && !law.mayReach) return false;
    return OCCUPIED.filter((on) => on < from).every((on) => bases[on] !== null && !out.has(on));
  };

  for (const { from, to, out: outAt, told } of steps) {
    if (outs >= 3) continue;
    if (to !== null) {
      if (to < from) return 'backwards';
      end.set(from, to);
      if (to === HOME) scored.push(from);
      done.push({ from, end: to, isOut: false, isForce: false, told });
      continue;
    }
    const at = outAt ?? from;
    if (at < from) return 'backwards';
    const how = told?.how;
    const isForce = forceOf(from, at, how, law, award, isForced);
    if (how === 'force' && !isForce) return 'notForced';
    if (how === 'doubledOff' && !(play.isCatch && at === from && from !== AT_BAT))
      return 'notCaught';
    outs += 1;
    out.add(from);
    end.delete(from);
    done.push({ from, end: at, isOut: true, isForce, told });
    const beforeFirst = from === AT_BAT && (law?.kind === 'outFirst' || isForce);
    if (outs === 3 && (isForce || beforeFirst)) noRun = true;
  }

  if (outs < 3) {
    // From the plate out: whoever was not told stays, unless pushed by the one behind.
    let behind: At = AT_BAT;
    for (const from of [AT_BAT, ...OCCUPIED] as At[]) {
      if (whoIs(from) === null || out.has(from)) continue;
      if (from === AT_BAT) {
        if (law) behind = end.get(AT_BAT) ?? AT_BAT;
        continue;
      }
      let at = end.get(from);
      if (at === undefined) {
        const least = award === 'all' ? from + 1 : from;
        const pushed = behind >= least ? Math.min(HOME, behind + 1) : least;
        at = Math.min(HOME, pushed) as At;
        end.set(from, at);
        if (at !== from) {
          done.push({ from, end: at, isOut: false, isForce: false, told: null });
          if (at === HOME) scored.push(from);
        }
      } else if (award === 'all' && at < from + 1) return 'awardShort';
      behind = Math.max(behind, at) as At;
    }
    const wrong = clash(end, whoIs, law !== null);
    if (wrong) return wrong;
  }

  if (noRun) scored = [];
  for (const appeal of play.appeals) {
    const from = ([AT_BAT, ...OCCUPIED] as At[]).find((each) => whoIs(each) === appeal.runner);
    if (from === undefined || out.has(from) || (from === AT_BAT && law === null))
      return 'nothingToAppeal';
    const isForce =
      appeal.force ?? (appeal.why === 'missedBase' && isAppealForce(from, appeal.base, isForced));
    const isLast = outs >= 2;
    out.add(from);
    end.delete(from);
    outs = Math.min(3, outs + 1);
    const at = baseNumber(appeal.base) ?? from;
    done.push({ from, end: at, isOut: true, isForce, told: null });
    scored = scored.filter((each) => each !== from && !(isLast && each < from));
    if (isLast && isForce) scored = [];
  }

  const after: Bases = { 1: null, 2: null, 3: null };
  for (const [from, at] of end) {
    const who = whoIs(from);
    if (at !== HOME && at !== AT_BAT && !out.has(from)) after[at] = who;
  }
  return { bases: after, outs, runs: scored.length, moves: done };
}

/** The moves in the order in which they are read, the batter's own and what is forced by an award in place. */
function stepsOf({ bases, told, law, award }: Play): Step[] | Reason {
  const steps: Step[] = [];
  const seen = new Set<At>();
  for (const move of told) {
    const from = baseNumber(move.from);
    const to = move.to === undefined ? null : baseNumber(move.to);
    const out = move.out === undefined ? null : baseNumber(move.out);
    if (from === undefined || from === HOME || to === undefined || out === undefined)
      return 'malformed';
    if ((to === null) === (out === null) || to === AT_BAT || seen.has(from)) return 'malformed';
    seen.add(from);
    steps.push({ from, to, out: out === AT_BAT ? null : out, told: move });
  }
  for (const { from } of steps) {
    if (from === AT_BAT ? law === null : bases[from as On] === null) return 'noRunner';
  }
  const own = steps.find(({ from }) => from === AT_BAT);
  const wrong = own && law ? batterMisfit(own, law) : null;
  if (wrong) return wrong;
  if (law?.kind === 'outFirst') {
    const rest = steps.filter((step) => step !== own);
    return [{ from: AT_BAT, to: null, out: 1, told: own?.told ?? null }, ...rest];
  }
  if (law?.kind === 'outLast' && !own)
    return [...steps, { from: AT_BAT, to: null, out: 1, told: null }];
  if (law?.kind === 'safe' && !own) {
    const reaches: Step = { from: AT_BAT, to: law.base, out: null, told: null };
    if (award !== 'batter') return [...steps, reaches];
    return awarded(bases, steps, reaches);
  }
  return award === 'batter' ? awarded(bases, steps, null) : steps;
}

/** The bases of an award are theirs before anything else: forced runners first, told or not. */
function awarded(bases: Bases, steps: readonly Step[], batter: Step | null): Step[] | Reason {
  const forced: On[] = [];
  for (const on of OCCUPIED) {
    if (bases[on] === null) break;
    forced.push(on);
  }
  for (const on of forced) {
    const step = steps.find(({ from }) => from === on);
    if (step?.to !== undefined && step.to !== null && step.to < on + 1) return 'awardShort';
  }
  const isForcedRun = ({ from, to }: Step): boolean =>
    from === 3 && to === HOME && forced.includes(3);
  const untold = forced
    .filter((on) => !steps.some(({ from }) => from === on))
    .toReversed()
    .map((on): Step => ({ from: on, to: (on + 1) as At, out: null, told: null }));
  return [
    ...steps.filter(isForcedRun),
    ...untold,
    ...(batter ? [batter] : []),
    ...steps.filter((step) => !isForcedRun(step)),
  ];
}

function batterMisfit({ to, out }: Step, law: BatterLaw): Reason | null {
  if (law.kind === 'safe') {
    if (to !== null) return to < law.base ? 'batterShort' : null;
    return out !== null && out < law.base ? 'batterShort' : null;
  }
  return to === null ? null : 'batterOut';
}

function forceOf(
  from: At,
  at: At,
  how: string | undefined,
  law: BatterLaw | null,
  award: Play['award'],
  isForced: (from: At) => boolean,
): boolean {
  if (from === AT_BAT) {
    if (law?.kind === 'outLast') return at <= 1;
    if (law?.kind !== 'safe' || award === 'batter' || at > 1 || law.had) return false;
    return law.choice ? how !== 'tag' : true;
  }
  if (at !== from + 1 || !isForced(from)) return false;
  return how === undefined || how === 'force';
}

/** One missed base is a force for the batter at first, for a runner at the next base while still forced. */
function isAppealForce(from: At, base: Base, isForced: (from: At) => boolean): boolean {
  const at = baseNumber(base);
  return from === AT_BAT ? at === 1 : at === from + 1 && isForced(from);
}

/** Two on one base, or one past the one ahead. */
function clash(
  end: ReadonlyMap<At, At>,
  whoIs: (from: At) => PersonId | null,
  hasBatter: boolean,
): Reason | null {
  const runners = ([AT_BAT, ...OCCUPIED] as At[]).filter(
    (from) => whoIs(from) !== null && end.has(from) && (from !== AT_BAT || hasBatter),
  );
  const at = (from: At): At => end.get(from) ?? from;
  for (const [index, from] of runners.entries()) {
    for (const ahead of runners.slice(index + 1)) {
      if (at(from) === at(ahead) && at(from) !== HOME) return 'sameBase';
    }
  }
  for (const [index, from] of runners.entries()) {
    for (const ahead of runners.slice(index + 1)) {
      if (at(from) > at(ahead)) return 'passing';
    }
  }
  return null;
}
