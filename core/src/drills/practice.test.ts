import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PersonId } from '../units/index.ts';
import {
  capsAt,
  clashesOf,
  limitsOf,
  partAt,
  partsOf,
  practiceMinutes,
  repsAt,
  sprintsIn,
  STATION_NAMES,
  STATIONS,
  throwsIn,
  type Practice,
} from './index.ts';

const aPractice = (parts: Partial<Practice> = {}): Practice => ({
  name: 'Tuesday',
  startsAt: '2031-05-01T17:30:00.000Z',
  warmUpMinutes: 15,
  closeMinutes: 5,
  changeMinutes: 2,
  slotMinutes: 12,
  water: { minutes: 3, everySlots: 2 },
  coaches: 3,
  order: ['starts', 'reads', 'own'],
  own: [{ id: 'own', name: 'Long toss', notes: '' }],
  groups: [
    ['a', 'b', 'c'],
    ['d', 'e', 'f'],
  ] as PersonId[][],
  notes: '',
  ...parts,
});

describe('a practice', () => {
  it('takes every group round every station once, water between, and ends when it says', () => {
    const practice = aPractice();
    const slots = partsOf(practice).filter(({ what }) => what === 'stations');
    for (const group of [0, 1]) {
      const visited = slots.map(({ groups }) => groups[group]);
      expect(visited.toSorted()).toEqual(practice.order.toSorted());
    }
    expect(partsOf(practice).map(({ what }) => what)).toEqual([
      'warmUp',
      'stations',
      'stations',
      'water',
      'stations',
      'close',
    ]);
    expect(practiceMinutes(practice)).toBe(15 + 3 * 12 + 3 + 5);
    expect(clashesOf(practice)).toEqual([]);
  });

  it('says what cannot be: one place twice, one station twice, too few coaches', () => {
    const shared = aPractice({ order: ['leaves', 'rounding', 'starts'] });
    expect(clashesOf(shared)).toContainEqual({ part: 1, what: 'place', groups: [0, 1] });
    const twice = aPractice({ order: ['starts', 'starts', 'reads'] });
    expect(clashesOf(twice)[0]).toMatchObject({ what: 'station' });
    const alone = aPractice({ order: ['bunts', 'tags', 'signs'], coaches: 1 });
    expect(clashesOf(alone).map(({ what }) => what)).toEqual(['coaches', 'coaches', 'coaches']);
  });

  it('counts reps by the size of the group, and the sprints they come to', () => {
    const practice = aPractice();
    // Ten minutes, two at once, 12 s each, three of them: more than the most.
    expect(repsAt(practice, 'starts', 0)).toBe(STATIONS.starts.mostReps);
    const many = aPractice({
      groups: [Array.from({ length: 20 }, (_, n) => `p${String(n)}` as PersonId)],
    });
    expect(repsAt(many, 'starts', 0)).toBe(5);
    expect(repsAt(practice, 'own', 0)).toBeNull();
    expect(sprintsIn(practice, 0)).toBe(5);
  });

  it('knows at every minute what is on, changing over counted to what comes', () => {
    const practice = aPractice();
    expect(partAt(practice, 0)).toEqual({ part: 0, left: 15 });
    expect(partAt(practice, 25.5)).toMatchObject({ part: 2 });
    expect(partAt(practice, practiceMinutes(practice))).toBeNull();
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...STATION_NAMES), { minLength: 1, maxLength: 8 }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        (order, minute) => {
          const any = aPractice({ order });
          const found = partAt(any, minute);
          expect(found === null).toBe(minute >= practiceMinutes(any));
          if (found) expect(found.left).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('counts the throws of each arm over all groups, and none where nobody throws', () => {
    const practice = aPractice({ order: ['throws', 'starts', 'own'] });
    const reps = repsAt(practice, 'throws', 0) ?? 0;
    expect(reps).toBeGreaterThan(0);
    // Six players: a catcher throws each time, the pitcher each other time.
    expect(throwsIn(practice, 'catcher', 2)).toBe((reps * 6) / 2);
    expect(throwsIn(practice, 'pitcher', 1)).toBe(reps * 3);
    expect(throwsIn(practice, 'catcher', 0)).toBe(Number.POSITIVE_INFINITY);
    expect(throwsIn(aPractice(), 'catcher', 0)).toBe(0);
  });

  it('goes by the limits of the team, else by those of the age', () => {
    const own = { sprints: 8, pitcherThrows: 0, catcherThrows: 5 };
    expect(limitsOf(aPractice({ limits: own }), 16)).toEqual(own);
    const { sprints, throws } = capsAt(16);
    expect(limitsOf(aPractice(), 16)).toEqual({
      sprints,
      pitcherThrows: throws.pitcher,
      catcherThrows: throws.catcher,
    });
  });
});
