import {
  makeGroups,
  planPractice,
  STATION_NAMES,
  type PracticePlayer,
} from '../src/drills/index.ts';
import { makeRandom } from '../src/maths/index.ts';
import { medianMs, type Print } from './median.ts';

const PLAYERS = 24;
const PLANS = 20;

/** A practice of two hours for 24 players out of twelve stations, by drawn needs. @public asked for by scripts/bench.mjs */
export function benchDrills(print: Print): void {
  const random = makeRandom(9);
  const plans = Array.from({ length: PLANS }, () => {
    const players = Array.from({ length: PLAYERS }, (_, nth): PracticePlayer => ({
      id: String(nth),
      needs: Object.fromEntries(STATION_NAMES.map((name) => [name, random()])),
      sprintsLeft: 20,
    }));
    const groups = makeGroups(players, 4);
    return () =>
      planPractice({
        minutes: 120,
        warmUpMinutes: 15,
        closeMinutes: 5,
        changeMinutes: 2,
        water: { minutes: 3, everySlots: 2 },
        slotChoices: [15, 12, 10, 20],
        coaches: 4,
        groups,
        players,
        arms: { pitcher: { arms: 4, throwsEach: 20 }, catcher: { arms: 2, throwsEach: 15 } },
        stations: STATION_NAMES,
      });
  });
  const each = plans.map((plan) => medianMs(1, plan));
  print(
    'practice-plan-of-24-by-12-in-120-minutes',
    each.toSorted((a, b) => a - b)[PLANS / 2] ?? 0,
    'ms',
  );
  print('practice-plan-longest-of-20', Math.max(...each), 'ms');
}
