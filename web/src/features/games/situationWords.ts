import type { Situation } from '@bradyon/core/games';

/** @example inningWords({ half: 'top', inning: 5 }) // 'Top 5' */
export function inningWords({ half, inning }: Pick<Situation, 'half' | 'inning'>): string {
  return `${half === 'top' ? 'Top' : 'Bottom'} ${String(inning)}`;
}

/** @example outsWords(1) // 'One out' */
export function outsWords(outs: number): string {
  return ['Nobody out', 'One out', 'Two out'][outs] ?? 'Three out';
}

/** The bases taken, 1 first, 2 second, 4 third, added up. */
export function basesOf({ bases }: Pick<Situation, 'bases'>): number {
  return (bases.first ? 1 : 0) + (bases.second ? 2 : 0) + (bases.third ? 4 : 0);
}

/** A slot as a coach says it. @example placeWords('T3.2.4') // 'Top 3, second batter, pitch 4' */
export function placeWords(slot: string): string {
  const found = /([TB])(\d+)\.(\d+)\.(\d+)/.exec(slot);
  if (!found) return slot;
  const [, half, inning = '', turn = '', pitch = ''] = found;
  return `${half === 'T' ? 'Top' : 'Bottom'} ${inning}, batter ${turn}, pitch ${pitch}`;
}
