import type { CallDrillName, makeBlock } from '@bradyon/core/drills';

export type BlockRep = ReturnType<typeof makeBlock>['reps'][number];

/** What a runner hears or sees. */
export type Cue = 'go' | 'back' | 'hop' | 'clap' | 'relax';

/** One rep as it will come, seconds after the set. */
export interface RepScript {
  cues: readonly { cue: Cue; atSeconds: number }[];
  /** The call that is answered; an empty rep has none, and ends when nobody may come any more. */
  callSeconds: number;
  /** The hands begin to move; null: there are none to be seen. */
  handsFromSeconds: number | null;
  /** Empty reps stop the hands short of a clap. */
  isEmpty: boolean;
}

/** How long after its call an answer is waited for. */
export const ANSWER_SECONDS = 1.5;

const EMPTY_HANDS_SECONDS = 0.3;

/** What comes when in a rep. */
export function scriptOf(
  { call, waitSeconds, gapSeconds, handsSeconds }: BlockRep,
  calls: CallDrillName,
): RepScript {
  const isEmpty = call === 'none';
  const isClap = calls === 'clapHeard' || calls === 'clapSeen';
  const hands = calls === 'clapSeen' ? (handsSeconds ?? 0) : 0;
  const callSeconds = waitSeconds + (gapSeconds ?? 0) + hands;
  const called: Cue = isClap ? 'clap' : call === 'none' ? 'relax' : call;
  return {
    cues: [
      ...(gapSeconds === undefined ? [] : [{ cue: 'hop' as const, atSeconds: waitSeconds }]),
      {
        cue: isEmpty ? 'relax' : called,
        atSeconds: isEmpty ? callSeconds + EMPTY_HANDS_SECONDS : callSeconds,
      },
    ],
    callSeconds,
    handsFromSeconds: calls === 'clapSeen' ? waitSeconds : null,
    isEmpty,
  };
}

/** How far the hands have come together 0..1 at a moment of a rep. */
export function handsAt(
  seconds: number,
  { handsFromSeconds, callSeconds, isEmpty }: RepScript,
): number {
  if (handsFromSeconds === null || seconds <= handsFromSeconds) return 0;
  const share = Math.min(1, (seconds - handsFromSeconds) / (callSeconds - handsFromSeconds));
  return isEmpty ? Math.min(share, 0.6) : share;
}

/** ABBA: two first steps by turns, so that neither gets the fresh legs. */
export function abba<T>(nth: number, [one, other]: readonly [T, T]): T {
  return nth % 4 === 0 || nth % 4 === 3 ? one : other;
}

/** @returns whose turn it is, in a line that goes round */
export function turnOf<T>(line: readonly T[], nth: number): T | null {
  return line[nth % Math.max(1, line.length)] ?? null;
}

/** From the call to a tap, seconds; before the call below 0. */
export function tapSecondsOf(tapMs: number, calledMs: number): number {
  return Number(((tapMs - calledMs) / 1000).toFixed(4));
}
