import { proposeRunners, type Draft, type GameState, type Move } from '@bradyon/core/games';

/** What is tapped of a ball in play before it is told. */
export interface InPlayDraft {
  contact: NonNullable<NonNullable<Draft['ball']>['contact']>;
  result: NonNullable<Draft['ball']>['result'];
  /** Feet from home along the first-base and the third-base line; null: not said. */
  at: { x: number; y: number } | null;
  fielder: string | null;
  double: boolean;
  bunt: 'sacrifice' | 'squeeze' | 'hit' | null;
}

/** Where fielders usually stand, feet along the two lines of a 90-foot diamond. */
const FIELDERS: Record<string, { x: number; y: number }> = {
  P: { x: 43, y: 43 },
  C: { x: 2, y: 2 },
  '1B': { x: 100, y: 28 },
  '2B': { x: 125, y: 75 },
  SS: { x: 75, y: 125 },
  '3B': { x: 28, y: 100 },
  LF: { x: 95, y: 245 },
  CF: { x: 215, y: 215 },
  RF: { x: 245, y: 95 },
};

/** Who probably fielded a ball there. */
export function fielderAt({ x, y }: { x: number; y: number }, baseFeet: number): string {
  const share = baseFeet / 90;
  const found = Object.entries(FIELDERS).toSorted(
    ([, a], [, b]) =>
      Math.hypot(a.x * share - x, a.y * share - y) - Math.hypot(b.x * share - x, b.y * share - y),
  )[0];
  return found?.[0] ?? 'P';
}

/** From a place of the field picture, second base up, to feet along the two lines; and back. */
export function alongLines({ x, y }: { x: number; y: number }): { x: number; y: number } {
  return { x: (y + x) / Math.SQRT2, y: (y - x) / Math.SQRT2 };
}
export function inField({ x, y }: { x: number; y: number }): { x: number; y: number } {
  return { x: (x - y) / Math.SQRT2, y: (x + y) / Math.SQRT2 };
}

/** The draft as it is told, without its runners. */
export function ballOf({ contact, result, at, fielder, double }: InPlayDraft) {
  return {
    result,
    contact,
    ...(at && { at: { x: Math.round(at.x), y: Math.round(at.y) } }),
    ...(fielder !== null && { fielders: [fielder] }),
    ...(double && { double: true }),
  };
}

/** How everybody went, the lead runner first: what is proposed, with what was changed by hand. */
export type Ends = Partial<Record<Move['from'], string>>;

/** Where everybody on base, and the batter, ends up as it is proposed; the batter only when not by law. */
export function proposedEnds(state: GameState | null, draft: InPlayDraft): Ends {
  const moves = proposeRunners(state, { kind: 'pitch', result: 'inPlay', ball: ballOf(draft) });
  return Object.fromEntries(moves.map((move) => [move.from, endOf(move)]));
}

function endOf({ to, out }: Move): string {
  return out === undefined ? (to ?? '') : `out ${out}`;
}

const ORDER: readonly Move['from'][] = ['third', 'second', 'first', 'batter'];
const HOW: Record<string, string> = {
  home: 'home',
  first: 'first',
  second: 'second',
  third: 'third',
};

/** The moves that are told, scorers before outs. */
export function movesOf(ends: Ends): Move[] {
  const moves = ORDER.flatMap((from): Move[] => {
    const end = ends[from];
    if (end === undefined || end === '' || end === from) return [];
    const [word = '', base = ''] = end.split(' ');
    if (word === 'out') return [{ from, out: HOW[base] as 'home' }];
    return [{ from, to: HOW[word] as 'home' }];
  });
  return [...moves.filter(({ to }) => to === 'home'), ...moves.filter(({ to }) => to !== 'home')];
}

/** What ends there are for a runner, in words. */
export function endsFor(from: Move['from']): { value: string; text: string }[] {
  const bases = ['first', 'second', 'third', 'home'];
  const start = from === 'batter' ? -1 : bases.indexOf(from);
  const ahead = bases.slice(start + 1);
  return [
    ...(from === 'batter'
      ? [{ value: '', text: 'As the hit says' }]
      : [{ value: '', text: 'Stays' }]),
    ...ahead.map((base) => ({ value: base, text: base === 'home' ? 'Scores' : `Safe at ${base}` })),
    ...(from === 'batter' ? [] : [{ value: `out ${from}`, text: `Out at ${from}` }]),
    ...ahead.map((base) => ({ value: `out ${base}`, text: `Out at ${base}` })),
  ];
}
