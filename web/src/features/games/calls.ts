import type { GameEvent, Place, Situation } from '@bradyon/core/games';
import { keepCall } from '@bradyon/core/review';
import type { LevelChanges } from '@bradyon/core/timing';
import type { GameId } from '@bradyon/core/units';
import type { GameStands } from './liveGame.ts';
import type { Desk } from './useDesk.ts';
import type { GameInHand } from './useGame.ts';

/** The play that was called for this pitch: the sign that stands, or nothing. */
function calledOf({ sign }: Pick<Situation, 'sign'>): string | null {
  return sign === null || sign.play === 'nothing' ? null : sign.play;
}

/** The call of the next pitch, as it is known on the desk; null: nobody of ours may go. @param changes the team’s own numbers */
export function callOf(
  desk: Desk,
  game: GameInHand,
  place: Place,
  gameId: GameId,
  changes: LevelChanges,
) {
  const { race, plays, needed, pitcher, batter, chanceToWin } = desk;
  const { situation, ours, now } = game;
  if (!race || !game.weBat) return null;
  const called = calledOf(situation);
  const sign = now.events.findLast((event) => event.kind === 'sign');
  return keepCall({
    gameId,
    situation,
    ours,
    race,
    plays,
    pitcher,
    batter,
    need: needed,
    chanceToWin,
    called,
    calledBy: called === null ? null : (sign?.place ?? place),
    changes,
  });
}

/** What came of a call: the plays told since, with the situation after. */
export interface CallResult {
  callId: string;
  done: string;
  resolved: boolean;
  why: 'foul' | 'ballInPlay' | 'walk' | 'deadBall' | 'stepOff' | null;
  outcome: 'safe' | 'out' | 'notRun' | 'safeOnError';
  signSeen: 'yes' | 'no' | 'unknown';
  after: Pick<Situation, 'inning' | 'half' | 'outs' | 'bases' | 'runs'>;
}

/** The call that waits for what came of it; null: none does. */
export function openCall(
  events: readonly GameEvent[],
): Extract<GameEvent, { kind: 'advice' }> | null {
  const last = events.findLast((event) => event.kind === 'advice');
  return last?.kind === 'advice' && last.plays !== null ? last : null;
}

/**
 * Whether a call of this device is over and nothing says what came of it: the page was ended right after the tap.
 * A runner who went, and of whom nobody has said yet how it ended, is waited for.
 */
export function lacksItsResult(
  { events, situation }: Pick<GameStands, 'events' | 'situation'>,
  device: string,
): boolean {
  const open = openCall(events);
  if (!open || !situation || open.device !== device || open.slot === situation.slot) return false;
  return resultOf(open, events, situation).resolved;
}

/** What became of the runner of a call, from what was told after it. */
export function resultOf(
  call: Extract<GameEvent, { kind: 'advice' }>,
  events: readonly GameEvent[],
  after: Situation,
): CallResult {
  const since = events.slice(events.indexOf(call) + 1);
  const steal = since.find((event) => event.kind === 'steal');
  const pitch = since.find((event) => event.kind === 'pitch');
  const sign = since.find((event) => event.kind === 'sign');
  const move = steal?.kind === 'steal' ? steal.runners[0] : undefined;
  const went = (pitch?.kind === 'pitch' && (pitch.going ?? []).length > 0) || move !== undefined;
  const outcome: CallResult['outcome'] = move
    ? move.out !== undefined
      ? 'out'
      : move.how === 'error'
        ? 'safeOnError'
        : 'safe'
    : 'notRun';
  const why = went && !move && pitch?.kind === 'pitch' ? unresolved(pitch.result) : null;
  const { inning, half, outs, bases, runs } = after;
  return {
    callId: call.id,
    done: went ? 'go' : 'stay',
    resolved: !went || move !== undefined,
    why,
    outcome,
    signSeen: sign?.kind === 'sign' && sign.seen !== null ? (sign.seen ? 'yes' : 'no') : 'unknown',
    after: { inning, half, outs, bases, runs },
  };
}

function unresolved(result: string): CallResult['why'] {
  if (result === 'foul' || result === 'foulBunt') return 'foul';
  if (result === 'inPlay') return 'ballInPlay';
  return result === 'ball' ? 'walk' : 'deadBall';
}
