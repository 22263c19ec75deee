import { GAMBLE_TEXT } from './gambleWords.ts';
import { baseOut, breakEvenOf, GAMBLES, type Gamble, type Needed } from '@bradyon/core/innings';
import { atBat, misfitOf, spotUp, valueOf, type Game } from './game.ts';
import type { Situation } from './situation.ts';

/** What a map can show: figures of a state, or what a gamble needs. */
export const MAPS = ['runs', 'score', 'win', ...GAMBLES] as const;
export type MapName = (typeof MAPS)[number];
export const MAP_TEXT: Record<MapName, string> = {
  runs: 'Runs expected',
  score: 'Chance to score',
  win: 'Chance to win',
  ...(Object.fromEntries(
    GAMBLES.map((gamble) => [gamble, `Needed: ${GAMBLE_TEXT[gamble].toLowerCase()}`]),
  ) as Record<Gamble, string>),
};

/** Over what it is spread. */
export const MAP_AXES = ['states', 'innings'] as const;
export type MapAxes = (typeof MAP_AXES)[number];

/** Runs and the chance to score are of the half alone: they are the same in every inning. */
export function spreadsOf(map: MapName): readonly MapAxes[] {
  return map === 'runs' || map === 'score' ? ['states'] : MAP_AXES;
}

export const BASES_IN_ORDER = [0, 1, 2, 4, 3, 5, 6, 7];
export const BASES_TEXT = [
  'Nobody on',
  'First',
  'Second',
  'First, second',
  'Third',
  'First, third',
  'Second, third',
  'Loaded',
];
const LEADS = [-4, -3, -2, -1, 0, 1, 2, 3, 4];

interface MapCell {
  text: string;
  /** 0 pale to 1 strong. */
  share: number;
  here: boolean;
}

/** A map as rows of cells; null where there is no such thing. */
export interface MapTable {
  columns: string[];
  rows: { name: string; cells: (MapCell | null)[] }[];
}

/** The map of one figure, with where it stands marked. */
export function mapOf(game: Game, situation: Situation, map: MapName, spread: MapAxes): MapTable {
  if (spread === 'states') {
    const rows = BASES_IN_ORDER.map((bases) => ({
      name: BASES_TEXT[bases] ?? '',
      cells: [0, 1, 2].map((outs) =>
        cellIn(game, { ...situation, bases, outs }, map, {
          here: situation.bases === bases && situation.outs === outs,
        }),
      ),
    }));
    // A gamble only where there is one.
    const filled = rows.filter(({ cells }) => cells.some((cell) => cell !== null));
    return { columns: ['0 out', '1 out', '2 out'], rows: filled };
  }
  return {
    columns: LEADS.map(leadText),
    rows: Array.from({ length: game.rules.innings }, (_, index) => ({
      name: `Inning ${String(index + 1)}`,
      cells: LEADS.map((lead) =>
        cellIn(game, { ...situation, ...onBase(situation, map), inning: index + 1, lead }, map, {
          here: situation.inning === index + 1 && situation.lead === lead,
        }),
      ),
    })),
  };
}

/** The bases as they stand, if the gamble is there; else its runner alone. */
export function onBase({ bases, outs }: Situation, map: MapName): { bases: number } {
  if (map === 'runs' || map === 'score' || map === 'win') return { bases };
  const value = () => 0;
  const fits = (on: number) => breakEvenOf(map, baseOut(on, Math.min(outs, 1)), value) !== null;
  return { bases: fits(bases) ? bases : (BASES_IN_ORDER.find(fits) ?? bases) };
}

const MOST_RUNS = 2.5;

function cellIn(
  game: Game,
  there: Situation,
  map: MapName,
  { here }: { here: boolean },
): MapCell | null {
  const state = baseOut(there.bases, there.outs);
  const side = atBat(game, there);
  const spot = spotUp(game, there);
  if (map === 'runs') {
    const runs = side.expectancies[spot]?.[state] ?? 0;
    return { text: runs.toFixed(2), share: Math.min(1, runs / MOST_RUNS), here };
  }
  if (map === 'score') {
    const share = side.scoring[spot]?.[state] ?? 0;
    return { text: whole(share), share, here };
  }
  const situation: Situation = map === 'win' ? { ...there, by: 'win' } : there;
  if (misfitOf(game, situation) !== null) return null;
  const value = valueOf(game, situation);
  if (map === 'win') {
    const batting = value(there.bases, there.outs, 0);
    const share = there.batting === 'we' ? batting : 1 - batting;
    return { text: whole(share), share, here };
  }
  const needed = breakEvenOf(map, state, value)?.needed;
  return needed === undefined ? null : { ...neededCell(needed), here };
}

function whole(share: number): string {
  return String(Math.round(share * 100));
}

function neededCell(needed: Needed): { text: string; share: number } {
  if (needed === 'always') return { text: 'go', share: 0 };
  if (typeof needed !== 'number' || needed >= 1) return { text: 'no', share: 1 };
  // Half or less is pale: what matters lies above.
  return { text: whole(needed), share: Math.max(0, (needed - 0.5) * 2) };
}

function leadText(lead: number): string {
  if (lead === 0) return 'tied';
  return lead > 0 ? `+${String(lead)}` : `−${String(-lead)}`;
}
