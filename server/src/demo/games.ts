import type { GameOfFile, TeamFile } from '@bradyon/contract/files';
import { entryOf, type Entry } from '@bradyon/contract/games';
import {
  gameReader,
  playOn,
  playRulesOf,
  sideAtBat,
  situationOf,
  startLineUp,
  type GameEvent,
  type GameState,
  type Side,
} from '@bradyon/core/games';
import { playLevelOf } from '@bradyon/core/innings';
import { makeRandom, type Random } from '@bradyon/core/maths';
import type { GameEntryId, GameId, OpponentId } from '@bradyon/core/units';
import { demoCalls, type DemoCall } from './calls.ts';
import { makeUuid } from './uuid.ts';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** A season before them. */
const EARLIER_GAMES = 18;
/** Of what happens in them: a season from which something can be learned. */
const SEASON = 89;
/** Between two entries of a game. */
const PACE_MS = 24_000;
/** So many games are begun until one stands where there is something to decide. */
const MOST_TRIES = 120;

/** A late, close game of ours at bat: a runner on first, the next base open, and outs to play with. */
function isWorthDeciding(state: GameState | null, ours: Side): boolean {
  const now = situationOf(state);
  if (!now.open || !state || now.over) return false;
  const { bases, inning, outs, runs, half, strikes } = now;
  const lead = runs[ours] - runs[ours === 'home' ? 'away' : 'home'];
  const isLate = inning >= state.rules.innings - 2 && inning <= state.rules.innings;
  return (
    isLate &&
    sideAtBat(half) === ours &&
    bases.first !== null &&
    bases.second === null &&
    bases.third === null &&
    outs < 2 &&
    strikes < 2 &&
    lead <= 0 &&
    lead >= -2
  );
}

/** What came of a call at its pitch, before a steal says how it ended. */
function demoResult(callId: string, { goes, calledSteal }: DemoCall, pitch: GameEvent): object {
  const went = pitch.kind === 'pitch' && (pitch.going ?? []).length > 0;
  const why =
    goes && !went && pitch.kind === 'pitch'
      ? pitch.result === 'foul'
        ? 'foul'
        : pitch.result === 'inPlay'
          ? 'ballInPlay'
          : 'walk'
      : null;
  return {
    callId,
    done: goes ? 'go' : 'stay',
    resolved: !goes,
    why,
    outcome: 'notRun',
    signSeen: calledSteal ? (goes ? 'yes' : 'no') : 'unknown',
  };
}

/** Games of a demo team: a season played, one in the middle of an inning worth deciding, one to come. */
export function demoGames(random: Random, file: TeamFile, today: Date): GameOfFile[] {
  const opponents = file.opponents.map(({ id }) => id);
  const [first, second = first, third = second] = opponents;
  if (first === undefined) return [];
  const rates = playLevelOf(file.team.level, {}).rates;
  const at = (ms: number): Date => new Date(today.getTime() + ms);
  // Each team's own, and apart from what is drawn after them.
  const ids = makeRandom(SEASON + file.readings.length);
  const open = (
    opponentId: OpponentId | undefined,
    startsAt: Date,
    weAreHome: boolean,
    drawing: Random = random,
  ) => {
    const id = makeUuid(drawing) as GameId;
    const game = {
      id,
      opponentId: opponentId ?? null,
      startsAt: startsAt.toISOString(),
      weAreHome,
    };
    const lineUp = (of: OpponentId | null) =>
      startLineUp(
        file.people.filter((person) => person.opponentId === of),
        { last: null, order: of === null ? file.battingOrder.personIds : [] },
      );
    const [ours, theirs] = [lineUp(null), lineUp(opponentId ?? null)];
    const side: Side = weAreHome ? 'home' : 'away';
    const opened = {
      kind: 'opened',
      rules: playRulesOf(file.team.ruleset),
      ours: side,
      away: weAreHome ? theirs : ours,
      home: weAreHome ? ours : theirs,
      ...envelope('bench', startsAt.getTime() - HOUR_MS),
      seq: 1,
      slot: 'T1.1.1',
    } as GameEvent;
    return { game, side, opened };
  };
  const envelope = (place: 'bench' | 'first' | 'third', ms: number) => ({
    id: makeUuid(random) as GameEntryId,
    device: `demo ${place}`,
    place,
    at: new Date(ms).toISOString(),
  });
  /** Plays from the opening until it is enough, or over. */
  const play = (
    { game, opened }: ReturnType<typeof open>,
    seed: number,
    isEnough: (state: GameState | null) => boolean,
    calls: ReturnType<ReturnType<typeof demoCalls>['running']> | null = null,
  ): { events: GameEvent[]; state: GameState | null } => {
    const read = gameReader();
    let ms = Date.parse(game.startsAt);
    const teller = ({ kind }: { kind: string }) => {
      ms += PACE_MS;
      return envelope(kind === 'pick' || kind === 'steal' ? 'first' : 'bench', ms);
    };
    const events = [opened];
    const keep = (event: GameEvent): void => {
      events.push({ ...event, seq: events.length + 1 });
    };
    let waits: { call: GameEvent; result: object } | null = null;
    const settle = (): void => {
      if (waits) keep({ ...waits.call, ...waits.result, id: makeUuid(ids) });
      waits = null;
    };
    for (const event of playOn([opened], makeRandom(seed), rates, teller, calls?.running)) {
      // A runner who went is settled by the steal, whoever stayed by the pitch.
      if (event.kind !== 'steal') settle();
      const taken = event.kind === 'pitch' ? (calls?.taken() ?? null) : null;
      if (taken) {
        const { id: _id, ...place } = envelope('bench', ms);
        const call = {
          ...place,
          id: makeUuid(ids) as GameEntryId,
          kind: 'advice',
          slot: event.slot,
          plays: taken.call,
          taken: null,
        } as unknown as GameEvent;
        if (taken.calledSteal) {
          keep({
            ...call,
            id: makeUuid(ids),
            kind: 'sign',
            place: 'third',
            play: 'steal',
            seen: taken.goes,
          } as unknown as GameEvent);
        }
        keep(call);
        waits = { call, result: { plays: null, taken: demoResult(call.id, taken, event) } };
      }
      keep(event);
      if (waits && event.kind === 'steal') {
        const { runners } = event;
        const isOut = runners[0]?.out !== undefined;
        Object.assign((waits.result as { taken: object }).taken, {
          resolved: true,
          why: null,
          outcome: isOut ? 'out' : 'safe',
        });
        settle();
      }
      if (isEnough(read(events).state)) break;
    }
    settle();
    return { events, state: read(events).state };
  };
  const asFile = ({ game }: ReturnType<typeof open>, events: readonly GameEvent[]): GameOfFile => ({
    ...game,
    lastSeq: events.length,
    entries: events.map((event, index): Entry => ({ ...entryOf(event), seq: index + 1 })),
  });
  const seedOf = (): number => Math.floor(random() * 2 ** 31);
  const calls = demoCalls(file);
  const past = [open(second, at(-5 * DAY_MS), true), open(third, at(-2 * DAY_MS), false)].map(
    (each) => ({ each, seed: seedOf() }),
  );
  // Theirs are drawn apart: what comes after them stays as it is, however many there are.
  for (let nth = 0; nth < EARLIER_GAMES; nth += 1) {
    const opponent = [second, third, first][nth % 3];
    const each = open(opponent, at(-(8 + 3 * nth) * DAY_MS), nth % 2 === 0, ids);
    past.unshift({ each, seed: Math.floor(ids() * 2 ** 31) });
  }
  const played = past.map(({ each, seed }) =>
    asFile(
      each,
      play(each, seed, () => false, calls.running(each.game.id, each.side, seed + 1)).events,
    ),
  );
  const running = open(first, at(-1.5 * HOUR_MS), false);
  const start = seedOf();
  let found = play(running, start, (state) => isWorthDeciding(state, running.side));
  for (let tries = 1; tries < MOST_TRIES; tries += 1) {
    if (isWorthDeciding(found.state, running.side)) break;
    found = play(running, start + tries, (state) => isWorthDeciding(state, running.side));
  }
  const coming = open(third, at(2 * DAY_MS), true);
  return [...played, asFile(running, found.events), asFile(coming, [coming.opened])];
}
