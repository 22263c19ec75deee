import type { AccountId, PersonId } from '../units/index.ts';
import {
  CALL_DRILLS,
  judgeStart,
  type Call,
  type CallDrillName,
  type StartVerdict,
} from './calls.ts';
import type { Landing } from './leave.ts';
import {
  compareStarts,
  estimateStart,
  START_MEASURES,
  type StartComparison,
  type StartEstimate,
} from './reaction.ts';
import { judgeReads, type Cue, type ReadJudgement } from './reads.ts';
import type { SendAnswer, SendLevelName, TrailAnswer } from './sendHold.ts';
import type { TappedSqueeze } from './show.ts';
import {
  answerShown,
  readAfterMonths,
  readBefore,
  USUAL_READ_SECONDS,
  type ReadLevel,
} from './staircase.ts';

/** First steps that are set against each other. */
export const TECHNIQUES = ['own', 'crossover', 'dropStep', 'jab', 'hop'] as const;
export type Technique = (typeof TECHNIQUES)[number];
/** How a start of a drill may be timed. */
export const REP_MEASURES = ['ownTap', 'coachTap', 'gate'] as const;
export type RepMeasure = (typeof REP_MEASURES)[number];
export const WAYS = ['go', 'back'] as const;
export const FEET_OF_BODY = ['left', 'right'] as const;
export const SENSES = ['heard', 'seen'] as const;
export const SEND_ANSWERS = ['send', 'hold', 'none'] as const satisfies readonly SendAnswer[];

/** One start as it was tapped: everything else is worked out from it. */
export interface StartRep {
  drill: 'start';
  /** The block it belongs to. */
  session: string;
  calls: CallDrillName;
  technique: Technique;
  measure: RepMeasure;
  call: Call;
  sense: (typeof SENSES)[number];
  /** From the call as it was asked of the device to the tap, or as a gate gave it, seconds; null: nobody moved. */
  tapSeconds: number | null;
  /** How late the device sounds or shows. */
  outputLateSeconds: number;
  /** How long the hands were seen moving before the clap. */
  handsSeconds: number;
  way: (typeof WAYS)[number];
}

/** One answer to a move or a pitch that was cut off. */
export interface ReadRep {
  drill: 'read';
  session: string;
  cue: Cue;
  /** Going is right. */
  signal: boolean;
  shownSeconds: number;
  /** null: no answer. */
  went: boolean | null;
}

/** When a foot left the bag, seconds after the release; below 0: early. */
export interface LeaveRep {
  drill: 'leave';
  session: string;
  seconds: number;
}

/** When a secondary lead landed, seconds after the ball was over the plate. */
export interface LandingRep {
  drill: 'landing';
  session: string;
  seconds: number;
  foot: Landing['foot'];
}

/** A play of the trainer and what was answered; the play is drawn again from its seed. */
export interface SendRep {
  drill: 'send';
  session: string;
  level: SendLevelName;
  seed: number;
  answer: SendAnswer;
  /** Which coach, where it is no player. */
  coach: AccountId | null;
  /** A runner on first too; absent: nobody. */
  onFirst?: true;
  /** What the runner from first was told, where there was one and they were told in time. */
  trail?: TrailAnswer;
  /** The chance as it was guessed before it was shown, 0..1. */
  guess?: number;
}

/** A squeeze: when the batter showed and the runner broke, by the front foot. */
export interface SqueezeRepTapped extends TappedSqueeze {
  drill: 'squeeze';
  session: string;
}

export type Rep = StartRep | ReadRep | LeaveRep | LandingRep | SendRep | SqueezeRepTapped;

/** A rep of somebody, and when. */
export interface KeptRep<R extends Rep = Rep> {
  personId: PersonId | null;
  takenAt: string;
  rep: R;
}

/** The reps of one drill. */
export function repsOf<D extends Rep['drill']>(
  all: readonly KeptRep[],
  drill: D,
): KeptRep<Extract<Rep, { drill: D }>>[] {
  return all.filter(
    (each): each is KeptRep<Extract<Rep, { drill: D }>> => each.rep.drill === drill,
  );
}

/** From the call to the first move, the device's and the thumb's lateness taken out, seconds; null: did not move. */
export function reactionOf({ tapSeconds, outputLateSeconds, measure }: StartRep): number | null {
  if (tapSeconds === null) return null;
  return tapSeconds - outputLateSeconds - START_MEASURES[measure].lateSeconds;
}

/** What a start was. */
export function startVerdict(rep: StartRep): StartVerdict {
  return judgeStart({
    call: rep.call,
    sense: rep.sense,
    reactionSeconds: reactionOf(rep),
    measureSdSeconds: START_MEASURES[rep.measure].sdSeconds,
    way: rep.way,
    handsSeconds: rep.handsSeconds,
  });
}

/** What a block of starts was. */
export interface StartBlock {
  count: number;
  good: number;
  /** False starts and goes where nothing or "back" was called. */
  tooSoon: number;
  missed: number;
  /** Too much guessing: reactions say nothing. */
  isGuessing: boolean;
  estimate: StartEstimate | null;
}

/** More than so many of a block too soon: slow down, and show no reactions. Judgement. */
const GUESSING = 0.3;

/** @param starts by one measure only: measures are never mixed */
export function judgeBlock(starts: readonly StartRep[]): StartBlock {
  const verdicts = starts.map(startVerdict);
  const good = starts.filter((_, at) => verdicts[at] === 'good');
  const tooSoon = verdicts.filter((each) => each === 'falseStart' || each === 'wrongGo').length;
  const isGuessing = starts.length > 0 && tooSoon / starts.length > GUESSING;
  const [first] = starts;
  return {
    count: starts.length,
    good: good.length,
    tooSoon,
    missed: verdicts.filter((each) => each === 'missed' || each === 'wrongBack').length,
    isGuessing,
    estimate:
      first && !isGuessing
        ? estimateStart(
            good.flatMap((each) => reactionOf(each) ?? []),
            START_MEASURES[first.measure].sdSeconds,
          )
        : null,
  };
}

/** Starts that may be set beside each other: by the same measure, told apart by a word of each. */
function sessionsOf<Word extends string>(
  starts: readonly StartRep[],
  wordOf: (start: StartRep) => Word,
  [one, other]: readonly [Word, Word],
): { a: StartEstimate; b: StartEstimate }[] {
  const keyOf = ({ session, measure }: StartRep): string => `${session} ${measure}`;
  return [...new Set(starts.map(keyOf))].flatMap((key) => {
    const own = starts.filter((each) => keyOf(each) === key);
    const estimates = [one, other].map(
      (word) => judgeBlock(own.filter((each) => wordOf(each) === word)).estimate,
    );
    const [a, b] = estimates;
    return a && b ? [{ a, b }] : [];
  });
}

/** Which of two first steps is quicker, over the sessions in which both were done; null without any. */
export function compareTechniques(
  starts: readonly StartRep[],
  one: Technique,
  other: Technique,
): StartComparison | null {
  return compareStarts(sessionsOf(starts, ({ technique }) => technique, [one, other]));
}

/** What seeing the hands gains over hearing the clap: below 0 seeing is quicker. Null without both in a session. */
export function seenAgainstHeard(starts: readonly StartRep[]): StartComparison | null {
  const claps = starts.filter(({ calls }) => calls === 'clapSeen' || calls === 'clapHeard');
  return compareStarts(sessionsOf(claps, ({ calls }) => calls, ['clapSeen', 'clapHeard']));
}

/** Which first steps somebody has done. */
export function techniquesOf(starts: readonly StartRep[]): Technique[] {
  return TECHNIQUES.filter((technique) => starts.some((each) => each.technique === technique));
}

const MONTH_MS = 30.44 * 86_400_000;

/** What is known of how early somebody reads a cue: answer by answer, and less sure after a pause. */
export function levelOf(reads: readonly KeptRep<ReadRep>[], cue: Cue, now: Date): ReadLevel {
  let level = readBefore(USUAL_READ_SECONDS[cue]);
  let last: number | null = null;
  const rest = (until: number): void => {
    const months = last === null ? 0 : (until - last) / MONTH_MS;
    if (months >= 1 / 30) level = { ...readAfterMonths(level, months), answered: level.answered };
  };
  for (const { rep, takenAt } of reads) {
    if (rep.cue !== cue || rep.went === null) continue;
    const at = Date.parse(takenAt);
    rest(at);
    level = answerShown(level, rep.shownSeconds, rep.went === rep.signal);
    last = at;
  }
  rest(now.getTime());
  return level;
}

/** How well somebody tells a cue and which way they lean; null while there are too few. */
export function readJudgement(reads: readonly ReadRep[], cue: Cue): ReadJudgement | null {
  const own = reads.filter((each) => each.cue === cue && each.went !== null);
  const signals = own.filter(({ signal }) => signal);
  const noises = own.filter(({ signal }) => !signal);
  return judgeReads(
    {
      signals: signals.length,
      hits: signals.filter(({ went }) => went).length,
      noises: noises.length,
      falseGoes: noises.filter(({ went }) => went).length,
    },
    cue,
  );
}

/** The mean wait of a drill's call, for the pace of a line. Seconds. */
export function meanWait(calls: CallDrillName): number {
  const { leastSeconds, meanSeconds } = CALL_DRILLS[calls].wait;
  return leastSeconds + meanSeconds;
}
