import type { BattingRecord } from '@bradyon/contract/innings';
import { gameRulesOf, playLevelOf } from '@bradyon/core/innings';
import { PRESETS } from '@bradyon/core/rules';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { makeTables, openGame } from './game.ts';
import { spotsOf } from './lineup.ts';
import { inPercent, sentSheets, SHEETS, sumOf } from './rates.ts';
import { battersOf, orderOf, ratesBySpot, combinedOf } from './sides.ts';

const level = playLevelOf('hs', {});
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
  buntTries: 8,
  buntsGood: 8,
});
const [one, two] = roster.map(({ id }) => id) as [PersonId, PersonId];

describe('the order', () => {
  it('is the first nine of the roster until it is set, and then what was set of those who play', () => {
    expect(orderOf([], roster)).toHaveLength(9);
    expect(orderOf([two, 'gone' as PersonId, one], roster).map(({ id }) => id)).toEqual([two, one]);
  });

  it('bats as the level does until somebody is known, and then each for himself', () => {
    const nobody = battersOf(roster, [], level);
    expect(ratesBySpot(nobody, level)).toEqual([level.rates]);
    const known = battersOf(roster, [season(one, 35)], level);
    expect(ratesBySpot(known, level)).toHaveLength(11);
    expect(known[0]?.ownShare).toBeCloseTo(0.4, 9);
    expect(known[0]?.bunt.success).toBeGreaterThan(level.bunt.success);
    expect(known[1]?.ownShare).toBe(0);
  });

  it('of theirs is one, their seasons added up', () => {
    const batters = battersOf(roster, [season(one, 35), season(two, 5)], level);
    const together = combinedOf(batters, level);
    expect(together).toMatchObject({ plateAppearances: 160, known: 2 });
    expect(together.ownShare).toBeCloseTo(160 / 280, 9);
    expect(combinedOf([], level)).toMatchObject({ rates: level.rates, ownShare: 0, known: 0 });
  });

  it('says where each tactic pays', () => {
    const order = battersOf(roster.slice(0, 9), [season(one, 35), season(two, 4)], level);
    const asked = {
      level,
      rules: gameRulesOf(PRESETS.fullSizeSeven),
      ours: ratesBySpot(order, level),
      theirs: level.rates,
      allowed: { stealAllowed: true, buntAllowed: true },
    };
    const spots = spotsOf(openGame(asked, makeTables(asked)), order);
    expect(spots).toHaveLength(9);
    // A weak batter's bunt gives away less than a strong one's.
    expect(spots[1]?.buntGain).toBeGreaterThan(spots[0]?.buntGain ?? 0);
    expect(spots[0]?.leadingOff).toBeGreaterThan(spots[1]?.leadingOff ?? 9);
  });
});

describe('a sheet of rates', () => {
  const read = (typed: string) => (typed === '' ? null : Number(typed));

  it('is sent whole once anything in it is not as the level has it', () => {
    expect(sentSheets(level, {}, read)).toEqual({});
    expect(sentSheets(level, { rates_walk: '13.5' }, read)).toEqual({});
    const own = sentSheets(level, { rates_walk: '14.5', rates_single: '15.5' }, read);
    expect(own).toEqual({ rates: { ...level.rates, walk: 0.145, single: 0.155 } });
  });

  it('says what it adds up to', () => {
    for (const { name, isWhole } of SHEETS) {
      if (isWhole) expect(sumOf(level, name, {}, read)).toBeCloseTo(100, 9);
    }
    expect(sumOf(level, 'rates', { rates_walk: '20' }, read)).toBeCloseTo(106.5, 9);
    expect(sumOf(level, 'rates', { rates_walk: 'x' }, () => 'x')).toBeNull();
    expect(inPercent(0.205)).toBe('20.5');
  });
});
