import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/drills/plans.json';
import { makeRandom } from '../maths/index.ts';
import { circleOf, planPractice, type PracticeQuestion } from './plan.ts';
import {
  lineUp,
  makeGroups,
  needs,
  STATION_NAMES,
  STATIONS,
  type PracticePlayer,
  type StationName,
} from './stations.ts';

const { tolerance } = vectors;
type Given = (typeof vectors.plans)[number]['input'];

function questionOf(given: Given): PracticeQuestion {
  return {
    minutes: given.minutes,
    warmUpMinutes: given.warmUp,
    closeMinutes: given.close,
    changeMinutes: given.change,
    water: given.water,
    slotChoices: given.slotChoices,
    coaches: given.coaches,
    groups: given.groups,
    players: given.players,
    arms: given.armsLeft,
    stations: given.stationIds as StationName[],
  };
}

function near(got: number, wanted: number, within: number) {
  expect(Math.abs(got - wanted)).toBeLessThanOrEqual(within + 1e-9 * Math.abs(wanted));
}

describe('stations', () => {
  it('are those that were agreed', () => {
    expect(vectors.catalogue.map(({ id }) => id)).toEqual([...STATION_NAMES]);
    for (const given of vectors.catalogue) {
      expect(STATIONS[given.id as StationName]).toEqual({
        places: given.areas,
        coaches: given.coaches,
        atOnce: given.atOnce,
        secondsPerRep: given.seconds,
        mostReps: given.maxReps,
        sprints: given.sprint,
        throwsPerRep: given.throws,
        setUpMinutes: given.setup,
        learnedReps: given.k,
        gainRuns: given.gain,
        mostVisits: given.visits,
      });
    }
  });

  it.each(vectors.needs)('are needed: $input', ({ input, expected }) => {
    const need = needs[input.kind as keyof typeof needs] as (
      ...args: readonly (number | null)[]
    ) => number;
    near(need(...input.args), expected.need, tolerance.gain);
  });

  it.each(vectors.groups)('are gone round in even groups', ({ input, expected }) => {
    expect(makeGroups(input.players, input.n)).toEqual(expected.groups);
  });

  it.each(vectors.lines)('are lined up at: $input.station', ({ input, expected }) => {
    const group = input.group.flatMap(
      (id) => input.players.find((player) => player.id === id) ?? [],
    );
    expect(lineUp(group, input.station as StationName)).toEqual(expected);
  });

  it.each(vectors.circles)('make a circle: $input.bag', ({ input, expected }) => {
    expect(circleOf(input.bag as StationName[], input.groups, input.coaches)).toEqual(
      expected.order,
    );
  });
});

describe('a practice', () => {
  it.each(vectors.plans)('is planned: $input.minutes min, $input.coaches coaches', (given) => {
    const found = planPractice(questionOf(given.input));
    const expected = given.expected;
    if (expected.reason !== undefined) {
      expect(found).toEqual({ reason: expected.reason });
      return;
    }
    if ('reason' in found) throw new Error(found.reason);
    expect(found.slotMinutes).toBe(expected.slotMinutes);
    expect(found.visits.map(({ name, ...rest }) => ({ id: name, ...rest }))).toEqual(
      expected.visits,
    );
    expect(found.order).toEqual(expected.order);
    near(found.gain, expected.gain, tolerance.gain);
    near(found.spareMinutes, expected.spare, tolerance.minutes);
    expect(
      found.timetable.map(({ what, ...part }) => ({
        ...part,
        what: what === 'stations' ? null : what,
      })),
    ).toEqual(expected.timetable);
  });

  /** A team drawn from a seed. */
  function drawn(seed: number): PracticeQuestion {
    const random = makeRandom(seed);
    const whole = (least: number, most: number) =>
      least + Math.floor(random() * (most - least + 1));
    const players = Array.from({ length: whole(4, 20) }, (_, at): PracticePlayer => ({
      id: `p${String(at).padStart(2, '0')}`,
      needs: Object.fromEntries(STATION_NAMES.map((name) => [name, random()])),
      sprintsLeft: whole(0, 24),
    }));
    return {
      minutes: whole(30, 130),
      warmUpMinutes: whole(8, 15),
      closeMinutes: 5,
      changeMinutes: 2,
      water: { minutes: 3, everySlots: 2 },
      slotChoices: [10, 12, 15],
      coaches: whole(0, 4),
      groups: makeGroups(players, Math.min(players.length, whole(1, 4))),
      players,
      arms: {
        pitcher: { arms: whole(0, 3), throwsEach: 20 },
        catcher: { arms: whole(0, 2), throwsEach: 15 },
      },
      stations: STATION_NAMES.filter(() => random() < 0.7),
    };
  }

  it('has no group in two places, nobody over their sprints or throws, and says what is left', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const question = drawn(seed);
        const plan = planPractice(question);
        if ('reason' in plan) return;
        const slots = plan.timetable.filter(({ what }) => what === 'stations');
        for (const { groups } of slots) {
          expect(groups).toHaveLength(question.groups.length);
          const places = groups.flatMap((name) => STATIONS[name].places);
          expect(new Set(places).size).toBe(places.length);
          expect(new Set(groups).size).toBe(groups.length);
          const coaches = groups.reduce((sum, name) => sum + STATIONS[name].coaches, 0);
          expect(coaches).toBeLessThanOrEqual(question.coaches);
        }
        // Every group makes every visit once.
        for (const group of question.groups.keys()) {
          const made = slots.map(({ groups }) => groups[group]).sort();
          expect(made).toEqual([...plan.order].sort());
        }
        let sprints = 0;
        const thrown = { pitcher: 0, catcher: 0 };
        for (const { name, visits, repsEach } of plan.visits) {
          sprints += repsEach * visits * STATIONS[name].sprints;
          for (const arm of ['pitcher', 'catcher'] as const) {
            const perRep = STATIONS[name].throwsPerRep[arm] ?? 0;
            thrown[arm] += repsEach * visits * perRep * question.players.length;
          }
        }
        for (const { sprintsLeft } of question.players) {
          expect(sprints).toBeLessThanOrEqual(sprintsLeft + 1e-9);
        }
        for (const arm of ['pitcher', 'catcher'] as const) {
          const { arms = 0, throwsEach = 0 } = question.arms[arm] ?? {};
          expect(thrown[arm]).toBeLessThanOrEqual(arms * throwsEach + 1e-9);
        }
        const end = plan.timetable.at(-1)?.end ?? 0;
        expect(end + plan.spareMinutes).toBeCloseTo(question.minutes, 9);
        expect(plan.spareMinutes).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 10_000 },
    );
  }, 300_000);

  it('gains no less with more minutes or another coach', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const question = drawn(seed);
        const gain = (more: Partial<PracticeQuestion>): number => {
          const plan = planPractice({ ...question, ...more });
          return 'reason' in plan ? 0 : plan.gain;
        };
        const usual = gain({});
        expect(gain({ minutes: question.minutes + 20 })).toBeGreaterThanOrEqual(usual - 1e-9);
        expect(gain({ coaches: question.coaches + 1 })).toBeGreaterThanOrEqual(usual - 1e-9);
      }),
      { numRuns: 100 },
    );
  });
});
