import type { BattingRecord } from '@bradyon/contract/innings';
import { PLAY_LEVELS } from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { orderOf, viewOf } from './lineup.ts';

const person = (name: string): Person => ({
  id: name as PersonId,
  opponentId: null,
  number: '',
  name,
  throws: 'right',
  bats: 'right',
  positions: [],
  leadFeet: null,
  retired: false,
});
const roster = Array.from({ length: 11 }, (_, index) => person(`Player ${String(index)}`));
const season = (personId: PersonId, hits: number): BattingRecord => ({
  personId,
  plateAppearances: 80,
  hits,
  doubles: 0,
  triples: 0,
  homeRuns: 0,
  walks: 5,
  strikeouts: 10,
  reachedOnError: 0,
});

describe('the order', () => {
  it('is the first nine of the roster until it is set, and then what was set of those who play', () => {
    expect(orderOf([], roster)).toHaveLength(9);
    const [, one, two] = roster;
    const ids = [two?.id, 'gone', one?.id] as PersonId[];
    expect(orderOf(ids, roster)).toEqual([two, one]);
  });

  it('moves the runs, and says where each tactic pays', () => {
    const order = roster.slice(0, 9);
    const level = PLAY_LEVELS.hs;
    const first = order[0]?.id ?? ('' as PersonId);
    const last = order[8]?.id ?? ('' as PersonId);
    const seasons = [season(first, 35), season(last, 4)];
    const view = viewOf(order, seasons, level, 7);
    const turned = viewOf(order.toReversed(), seasons, level, 7);
    expect(view.perGame).toBeGreaterThan(turned.perGame);
    expect(view.spots[0]?.ownShare).toBeCloseTo(0.4, 9);
    expect(view.spots[1]?.ownShare).toBe(0);
    // A weak batter's bunt gives away less than a strong one's.
    expect(view.spots[8]?.buntGain).toBeGreaterThan(view.spots[0]?.buntGain ?? 0);
    expect(viewOf([], seasons, level, 7)).toEqual({ spots: [], perGame: 0 });
  });
});
