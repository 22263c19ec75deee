import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figuresAt } from '../timing/figures.ts';
import { makeRandom, normalDraw } from '../maths/index.ts';
import {
  BUNT_FIGURES,
  BUNT_LANES,
  BUNT_PACES,
  BUNT_RESULTS,
  BUNT_STYLES,
  laneDegrees,
  ownBunting,
  PITCH_HEIGHTS,
  skillOf,
  triesBy,
  type BuntTry,
} from './index.ts';

const level = skillOf(figuresAt(BUNT_FIGURES, 'hs', {}), 'sacrifice');
const aTry = (parts: Partial<BuntTry> = {}): BuntTry => ({
  result: 'fair',
  aimed: 'third',
  lane: 'third',
  calledPace: null,
  pace: 'soft',
  height: null,
  style: 'square',
  ...parts,
});

describe('a bunter’s own record', () => {
  it('is the level without any', () => {
    const own = ownBunting([], level);
    expect(own.skill).toEqual(level);
    expect(own).toMatchObject({ tries: 0, ownShares: 0, ownAim: 0, ownPace: 0, leanDegrees: 0 });
  });

  it('weighs more with every try, and pulled back ones are none', () => {
    const ten = ownBunting(
      Array.from({ length: 10 }, () => aTry()),
      level,
    );
    const fifty = ownBunting(
      Array.from({ length: 50 }, () => aTry()),
      level,
    );
    expect(fifty.ownShares).toBeGreaterThan(ten.ownShares);
    expect(fifty.skill.sdDegrees).toBeLessThan(ten.skill.sdDegrees);
    expect(ownBunting([aTry({ result: 'pulledBack', lane: null })], level).tries).toBe(0);
  });

  it('pulls misses toward his own, never past them', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...BUNT_RESULTS), { maxLength: 80 }), (results) => {
        const tries = results.map((result) =>
          aTry({ result, lane: result === 'fair' ? 'third' : null }),
        );
        const { skill, tries: counted } = ownBunting(tries, level);
        const missed =
          counted === 0
            ? level.missed
            : results.filter((each) => each === 'missed').length / counted;
        expect(skill.missed).toBeGreaterThanOrEqual(Math.min(missed, level.missed) - 1e-9);
        expect(skill.missed).toBeLessThanOrEqual(Math.max(missed, level.missed) + 1e-9);
        expect(skill.missed + skill.tipped + skill.popped).toBeLessThan(1);
      }),
    );
  });

  it('finds a known spread and lean', () => {
    const random = makeRandom(3);
    const tries = Array.from({ length: 600 }, () => {
      const degrees = normalDraw(random, laneDegrees('middle') + 12, 10);
      const place = Math.min(4, Math.max(0, Math.floor((90 - degrees) / 18)));
      return aTry({ aimed: 'middle', lane: BUNT_LANES[place] ?? 'middle' });
    });
    const own = ownBunting(tries, level);
    expect(own.leanDegrees).toBeGreaterThan(9);
    expect(own.leanDegrees).toBeLessThan(14);
    // The lean is in the spread around where he aims.
    expect(own.skill.sdDegrees).toBeGreaterThan(12);
    expect(own.skill.sdDegrees).toBeLessThan(18);
  });

  it('finds a known spread of the pace from the words alone, and says nothing of calls nobody made', () => {
    const random = makeRandom(4);
    const calls = { dead: -0.21, soft: 0, firm: 0.34 };
    const drawn = (sd: number, count: number) =>
      Array.from({ length: count }, (_, nth) => {
        const calledPace = BUNT_PACES[nth % 3] ?? 'soft';
        const off = normalDraw(random, calls[calledPace], sd);
        return aTry({ calledPace, pace: off < -0.11 ? 'dead' : off < 0.18 ? 'soft' : 'firm' });
      });
    for (const sd of [0.2, 0.45]) {
      const own = ownBunting(drawn(sd, 900), level);
      expect(Math.abs(own.skill.sdPace - sd)).toBeLessThan(0.045);
      expect(own.ownPace).toBeGreaterThan(0.95);
    }
    // A few pull only a little.
    const few = ownBunting(drawn(0.15, 9), level);
    expect(few.skill.sdPace).toBeLessThan(level.sdPace);
    expect(few.skill.sdPace).toBeGreaterThan(0.25);
    const uncalled = ownBunting(
      Array.from({ length: 50 }, () => aTry()),
      level,
    );
    expect(uncalled).toMatchObject({ ownPace: 0, skill: { sdPace: level.sdPace } });
  });

  it('is told apart by style and by pitch, without what was never tried or pulled back', () => {
    const tries = [
      aTry({ style: 'pivot' }),
      aTry({ style: 'pivot', result: 'foul', lane: null }),
      aTry({ height: 'low' }),
      aTry({ result: 'pulledBack', style: 'drag', lane: null, pace: null }),
    ];
    expect(triesBy(tries, BUNT_STYLES, ({ style }) => style)).toEqual([
      { word: 'square', tries: 1, fair: 1 },
      { word: 'pivot', tries: 2, fair: 1 },
    ]);
    expect(triesBy(tries, PITCH_HEIGHTS, ({ height }) => height)).toEqual([
      { word: 'low', tries: 1, fair: 1 },
    ]);
  });
});
