import type { PersonId } from '../units/index.ts';
import type { Side } from './events.ts';
import { recordsOf } from './records.ts';
import { baseName, HOME, type At, type GameState, type PlayRecord } from './state.ts';

/** What one player did at bat and on the bases. */
interface BoxLine {
  id: PersonId;
  plateAppearances: number;
  hits: number;
  runs: number;
  walks: number;
  strikeouts: number;
  stolen: number;
  caughtStealing: number;
}

/** An out that was made on the bases, with where and how. */
interface OutOnBases {
  side: Side;
  runner: PersonId;
  inning: number;
  at: 'first' | 'second' | 'third' | 'home';
  kind: 'steal' | 'pick' | 'play';
}

/** What a game came to: a line for everybody who came up or ran, and the outs on the bases. */
export interface Box {
  lines: Record<Side, BoxLine[]>;
  outsOnBases: OutOnBases[];
}

const HITS = ['single', 'double', 'triple', 'homeRun'];

/**
 * The box of a game, of the entries in force.
 */
export function boxOf(state: GameState | null): Box {
  const lines: Record<Side, Map<PersonId, BoxLine>> = { away: new Map(), home: new Map() };
  const outsOnBases: OutOnBases[] = [];
  const lineOf = (side: Side, id: PersonId): BoxLine => {
    const known = lines[side].get(id);
    if (known) return known;
    const made: BoxLine = {
      id,
      plateAppearances: 0,
      hits: 0,
      runs: 0,
      walks: 0,
      strikeouts: 0,
      stolen: 0,
      caughtStealing: 0,
    };
    lines[side].set(id, made);
    return made;
  };
  for (const side of ['away', 'home'] as const) {
    for (const { id } of state?.teams[side].order ?? []) lineOf(side, id);
  }
  const innings = inningsOf(state);
  for (const record of recordsOf(state)) {
    const { batting, batter, turn, event } = record;
    if (turn && turn.kind !== 'interference' && turn.kind !== 'outOfTurn') {
      const own = lineOf(batting, batter);
      own.plateAppearances += 1;
      if (turn.kind === 'walk') own.walks += 1;
      if (turn.kind === 'strikeout') own.strikeouts += 1;
      const result = event.kind === 'pitch' ? event.ball?.result : undefined;
      if (turn.kind === 'ball' && result !== undefined && HITS.includes(result)) own.hits += 1;
    }
    for (const scorer of scorersOf(record)) lineOf(batting, scorer).runs += 1;
    for (const move of record.moves) {
      const runner = runnerAt(record, move.from);
      if (runner === null) continue;
      const own = lineOf(batting, runner);
      if (event.kind === 'steal' && move.told && move.told.how !== 'indifference') {
        if (move.isOut) own.caughtStealing += 1;
        else if (move.told.how !== 'error' && move.end > move.from) own.stolen += 1;
      }
      const isOnBases = move.isOut && !move.isForce && move.from !== 0;
      const end = move.end === HOME ? 'home' : move.end === 0 ? null : baseName(move.end);
      if (isOnBases && end !== null) {
        outsOnBases.push({
          side: batting,
          runner,
          inning: innings.get(record.turnId) ?? 0,
          at: end,
          kind: event.kind === 'steal' ? 'steal' : event.kind === 'pick' ? 'pick' : 'play',
        });
      }
    }
  }
  return {
    lines: { away: [...lines.away.values()], home: [...lines.home.values()] },
    outsOnBases,
  };
}

/** Whose runs counted: the lead runners', when a limit or the end of the game cut some off. */
function scorersOf(record: PlayRecord): PersonId[] {
  return record.moves
    .filter(({ isOut, end }) => !isOut && end === HOME)
    .toSorted((a, b) => b.from - a.from)
    .slice(0, record.runs)
    .flatMap(({ from }) => runnerAt(record, from) ?? []);
}

function runnerAt({ bases, batter }: PlayRecord, from: At): PersonId | null {
  if (from === 0) return batter;
  return from === HOME ? null : bases[from];
}

/** The inning of each turn: halves follow each other, a half more whenever the other side bats. */
function inningsOf(state: GameState | null): ReadonlyMap<number, number> {
  const found = new Map<number, number>();
  let half = -1;
  let side: Side | null = null;
  for (const { batting, turnId } of recordsOf(state)) {
    if (batting !== side) {
      side = batting;
      half += 1;
      // A half in which nothing happened leaves no play.
      if ((half % 2 === 0) !== (batting === 'away')) half += 1;
    }
    found.set(turnId, Math.floor(half / 2) + 1);
  }
  return found;
}
