import type { RankedPlay } from '@bradyon/core/advice';
import type { GameEvent, Place, Situation } from '@bradyon/core/games';
import type { Leg } from '@bradyon/core/steals';
import type { GameId } from '@bradyon/core/units';
import type { Desk } from './useDesk.ts';
import type { GameInHand } from './useGame.ts';

/** A time as it was known when a call was made. */
interface LegThen {
  meanSeconds: number;
  doubtSeconds: number;
  spreadSeconds: number;
  freedom: number | null;
  count: number;
  basis: string;
}

function legThen(leg: Leg | null): LegThen | null {
  if (!leg) return null;
  const { meanSeconds, meanSdSeconds, spreadSeconds, freedom } = leg.spread;
  return {
    meanSeconds,
    doubtSeconds: meanSdSeconds,
    spreadSeconds,
    // JSON has no infinity.
    freedom: Number.isFinite(freedom) ? freedom : null,
    count: leg.count,
    basis: leg.basis,
  };
}

/** What was open to us, with what came of each worth what. Stay is always one of them. */
function optionsOf(plays: readonly RankedPlay[]) {
  return plays.map(({ play, works, ifWorks, ifNot, worth, low, high }) => ({
    name: play === 'swing' ? 'stay' : play,
    outcomes:
      works !== null && ifWorks !== null && ifNot !== null
        ? [
            { name: 'works', p: works, value: ifWorks },
            { name: 'fails', p: 1 - works, value: ifNot },
          ]
        : [{ name: 'any', p: 1, value: worth }],
    low: low ?? worth,
    high: high ?? worth,
  }));
}

/** The play that was called for this pitch: the sign that stands, or nothing. */
function calledOf({ sign }: Pick<Situation, 'sign'>): string | null {
  return sign === null || sign.play === 'nothing' ? null : sign.play;
}

/**
 * A call as it was known before the pitch: people, times with their doubt, chance, need, what was shown
 * and what was called. Kept as it is; what came of it is a second entry that names it.
 */
export function callOf(desk: Desk, game: GameInHand, place: Place, gameId: GameId) {
  const { race, plays, needed } = desk;
  const { situation, ours, theirs, now } = game;
  if (!race || !game.weBat) return null;
  const { steal, base, kind, question } = race;
  const { legs } = steal;
  const sign = now.events.findLast((event) => event.kind === 'sign');
  return {
    gameId,
    slot: situation.slot,
    situation: {
      inning: situation.inning,
      half: situation.half,
      outs: situation.outs,
      bases: situation.bases,
      homeLead: situation.runs.home - situation.runs.away,
      balls: situation.balls,
      strikes: situation.strikes,
      spotUp: situation.order[ours].indexOf(situation.batter),
    },
    people: {
      pitcher: situation.pitcher,
      catcher: situation.catcher,
      runner: race.runner.id,
      batter: situation.batter,
      pitcherThrows: desk.pitcher.throws,
      batterSide: desk.batter?.bats ?? null,
    },
    play: {
      base,
      kind,
      style: question.style,
      leadFeet: legs.start.leadFeet,
      expected: 'count',
    },
    legs: {
      pitch: legThen(legs.pitch),
      pop: legThen(legs.pop),
      run: legThen(legs.run),
      jump: legThen(legs.jump),
    },
    constants: { levelName: question.field.level.label, changesId: null },
    chance: steal.chance,
    low: steal.low,
    high: steal.high,
    options: optionsOf(plays),
    chanceToWin: desk.chanceToWin,
    lead: situation.runs[ours] - situation.runs[theirs],
    need: needed,
    verdict: steal.verdict,
    shown: true,
    called: calledOf(situation),
    calledBy: calledOf(situation) === null ? null : (sign?.place ?? place),
  };
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
