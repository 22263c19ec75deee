import {
  STATION_NAMES,
  STATIONS,
  type Arm,
  type PracticePlayer,
  type Station,
  type StationName,
} from './stations.ts';

/** What a practice is planned from. Minutes. */
export interface PracticeQuestion {
  minutes: number;
  warmUpMinutes: number;
  closeMinutes: number;
  /** From one station to the next. */
  changeMinutes: number;
  water: { minutes: number; everySlots: number };
  /** How long a slot may be, the first wish first. */
  slotChoices: readonly number[];
  coaches: number;
  groups: readonly (readonly string[])[];
  players: readonly PracticePlayer[];
  /** How many arms there are of each kind, and how often each may throw. */
  arms: Readonly<Partial<Record<Arm, { arms: number; throwsEach: number }>>>;
  stations: readonly StationName[];
}

/** A part of the timetable, minutes from the start. */
export interface PlanPart<Name extends string = StationName> {
  start: number;
  end: number;
  what: 'warmUp' | 'water' | 'close' | 'stations';
  /** The station of each group. */
  groups: Name[];
}

/** A practice. */
export interface PracticePlan {
  slotMinutes: number;
  visits: { name: StationName; visits: number; repsEach: number }[];
  /** The circle that every group goes round. */
  order: StationName[];
  /** To set plans in order only. */
  gain: number;
  spareMinutes: number;
  timetable: PlanPart[];
}

export interface NoPlan {
  reason: 'tooFewMinutes' | 'noStationsFit';
}

const MOST_SLOTS = 8;
const SAME = 1e-9;

/** How many slots fit. */
function mostSlots(question: PracticeQuestion, slotMinutes: number): number {
  let slots = 0;
  while (slots < MOST_SLOTS && minutesUsed(question, slotMinutes, slots + 1) <= question.minutes) {
    slots += 1;
  }
  return slots;
}

function minutesUsed(
  { warmUpMinutes, closeMinutes, water }: PracticeQuestion,
  slotMinutes: number,
  slots: number,
): number {
  const breaks = Math.floor((slots - 1) / water.everySlots);
  return warmUpMinutes + slots * slotMinutes + water.minutes * breaks + closeMinutes;
}

/** A station as it would be used in slots of a length. */
interface Offer extends Station {
  name: StationName;
  reps: number;
  /** What so many visits are worth, from none. */
  gains: number[];
}

/** How often each of a group gets to do a station in so many seconds. */
export function repsIn(
  seconds: number,
  group: number,
  { mostReps, atOnce, secondsPerRep }: Pick<Station, 'mostReps' | 'atOnce' | 'secondsPerRep'>,
): number {
  return Math.min(mostReps, Math.floor((seconds * atOnce) / (group * secondsPerRep)));
}

function offersOf(question: PracticeQuestion, slotMinutes: number): Offer[] {
  const biggest = Math.max(...question.groups.map(({ length }) => length));
  const seconds = (slotMinutes - question.changeMinutes) * 60;
  return STATION_NAMES.filter((name) => question.stations.includes(name)).map((name): Offer => {
    const station = STATIONS[name];
    const { mostReps, atOnce, secondsPerRep, gainRuns, learnedReps, mostVisits } = station;
    const reps = repsIn(seconds, biggest, { mostReps, atOnce, secondsPerRep });
    const lack = question.players.reduce((sum, player) => sum + (player.needs[name] ?? 0), 0);
    const gains = Array.from(
      { length: mostVisits + 1 },
      (_, visits) => gainRuns * lack * (1 - Math.exp((-reps * visits) / learnedReps)),
    );
    return { ...station, name, reps, gains };
  });
}

/**
 * The practice that gains most: every choice of stations and visits is looked at, but for those that cannot be better.
 * Every group makes every visit once, no two at one place.
 */
export function planPractice(question: PracticeQuestion): PracticePlan | NoPlan {
  const groups = question.groups.length;
  let best: { plan: Omit<PracticePlan, 'timetable'>; slots: number } | null = null;
  let fits = false;
  for (const slotMinutes of question.slotChoices) {
    for (let slots = mostSlots(question, slotMinutes); slots >= groups; slots -= 1) {
      fits = true;
      const found = searched(question, slotMinutes, slots, best?.plan.gain ?? 0);
      if (found) best = { plan: found, slots };
    }
  }
  if (best) {
    const { slotMinutes, order } = best.plan;
    return { ...best.plan, timetable: timetableOf({ ...question, slotMinutes }, groups, order) };
  }
  return { reason: fits ? 'noStationsFit' : 'tooFewMinutes' };
}

function searched(
  question: PracticeQuestion,
  slotMinutes: number,
  slots: number,
  toBeat: number,
): Omit<PracticePlan, 'timetable'> | null {
  const { coaches, players, arms, warmUpMinutes } = question;
  const groups = question.groups.length;
  const offers = offersOf(question, slotMinutes);
  const perPlace = Math.floor(slots / groups);
  const sprintsLeft = Math.min(...players.map((player) => player.sprintsLeft));
  // What one visit more brings at best, of the stations from one on: the greatest first.
  const marginals = offers.map((_, from) =>
    offers
      .slice(from)
      .flatMap(({ gains }) => gains.slice(1).map((gain, at) => gain - (gains[at] ?? 0)))
      .sort((a, b) => b - a),
  );
  const throwsOf = ({ throwsPerRep, reps }: Offer): Partial<Record<Arm, number>> | null => {
    const need: Partial<Record<Arm, number>> = {};
    for (const [key, perRep] of Object.entries(throwsPerRep)) {
      const arm = key as Arm;
      const there = arms[arm]?.arms ?? 0;
      if (there === 0) return null;
      need[arm] = Math.ceil((reps * players.length * perRep) / there - SAME);
    }
    return need;
  };

  let best: Omit<PracticePlan, 'timetable'> | null = null;
  let bestGain = toBeat;
  const chosen: number[] = [];
  const used = { visits: 0, gain: 0, sprints: 0, setUp: 0, coaches: 0 };
  const places = new Map<string, number>();
  const thrown: Record<Arm, number> = { pitcher: 0, catcher: 0, outfielder: 0 };

  const take = (offer: Offer, visits: number, sign: 1 | -1): boolean => {
    used.visits += sign * visits;
    used.gain += sign * (offer.gains[visits] ?? 0);
    used.sprints += sign * offer.reps * visits * offer.sprints;
    used.setUp += sign * (visits > 0 ? offer.setUpMinutes : 0);
    used.coaches += sign * visits * offer.coaches;
    let ok = visits <= perPlace;
    for (const place of offer.places) {
      const now = (places.get(place) ?? 0) + sign * visits;
      places.set(place, now);
      ok &&= now <= perPlace;
    }
    const throwing = visits > 0 ? throwsOf(offer) : {};
    if (throwing === null) ok = false;
    for (const [key, each] of Object.entries(throwing ?? {})) {
      const arm = key as Arm;
      thrown[arm] += sign * each * visits;
      ok &&= thrown[arm] <= (arms[arm]?.throwsEach ?? 0);
    }
    return (
      ok &&
      used.visits <= slots &&
      used.sprints <= sprintsLeft + SAME &&
      used.setUp <= warmUpMinutes * coaches &&
      groups * used.coaches <= slots * coaches
    );
  };

  const goOn = (at: number): void => {
    if (used.visits === slots) {
      if (used.gain <= bestGain + SAME) return;
      const bag = offers.flatMap(({ name }, index) =>
        new Array<StationName>(chosen[index] ?? 0).fill(name),
      );
      const order = circleOf(bag, groups, coaches);
      if (!order) return;
      bestGain = used.gain;
      best = {
        slotMinutes,
        visits: offers.flatMap(({ name, reps }, index) =>
          (chosen[index] ?? 0) > 0 ? [{ name, visits: chosen[index] ?? 0, repsEach: reps }] : [],
        ),
        order,
        gain: used.gain,
        spareMinutes: question.minutes - minutesUsed(question, slotMinutes, slots),
      };
      return;
    }
    const offer = offers[at];
    if (!offer) return;
    const open = slots - used.visits;
    const most = marginals[at] ?? [];
    if (most.length < open) return;
    const bound = most.slice(0, open).reduce((sum, gain) => sum + gain, used.gain);
    if (bound <= bestGain + SAME) return;
    for (let visits = Math.min(offer.mostVisits, open); visits >= 0; visits -= 1) {
      chosen[at] = visits;
      const possible = take(offer, visits, 1);
      if (possible && (visits === 0 || offer.reps > 0)) goOn(at + 1);
      take(offer, visits, -1);
      chosen[at] = 0;
    }
  };
  goOn(0);
  return best;
}

/**
 * The first circle, in the order of the stations, in which neighbors do not clash; null: there is none. As many as
 * there are groups stand side by side at once.
 */
export function circleOf(
  bag: readonly StationName[],
  groups: number,
  coaches: number,
): StationName[] | null {
  const left = new Map<StationName, number>();
  for (const name of STATION_NAMES) {
    const count = bag.filter((each) => each === name).length;
    if (count > 0) left.set(name, count);
  }
  const circle: StationName[] = [];
  const clash = (together: readonly StationName[]): boolean => {
    if (new Set(together).size < together.length) return true;
    const taken = together.flatMap((name) => STATIONS[name].places);
    if (new Set(taken).size < taken.length) return true;
    return together.reduce((sum, name) => sum + STATIONS[name].coaches, 0) > coaches;
  };
  const goOn = (): boolean => {
    if (circle.length === bag.length) {
      const round = [...circle, ...circle];
      return circle.every((_, at) => !clash(round.slice(at, at + groups)));
    }
    for (const [name, count] of left) {
      if (count === 0) continue;
      circle.push(name);
      left.set(name, count - 1);
      if (!clash(circle.slice(-groups)) && goOn()) return true;
      left.set(name, count);
      circle.pop();
      // A circle may begin anywhere: it begins with the lowest.
      if (circle.length === 0) return false;
    }
    return false;
  };
  return goOn() ? circle : null;
}

/** How the time of a practice is parted. Minutes. */
export type PracticeTimes = Pick<
  PracticeQuestion,
  'warmUpMinutes' | 'closeMinutes' | 'changeMinutes' | 'water'
> & { slotMinutes: number };

/** Who is where when: every group goes round the same circle, each a station on from the next. */
export function timetableOf<Name extends string>(
  { warmUpMinutes, closeMinutes, changeMinutes, water, slotMinutes }: PracticeTimes,
  groups: number,
  order: readonly Name[],
): PlanPart<Name>[] {
  const parts: PlanPart<Name>[] = [{ start: 0, end: warmUpMinutes, what: 'warmUp', groups: [] }];
  let at = warmUpMinutes;
  for (let slot = 0; slot < order.length; slot += 1) {
    parts.push({
      start: at,
      end: at + slotMinutes - changeMinutes,
      what: 'stations',
      groups: Array.from(
        { length: groups },
        (_, group) => order[(group + slot) % order.length],
      ).flatMap((name) => name ?? []),
    });
    at += slotMinutes;
    if ((slot + 1) % water.everySlots === 0 && slot + 1 < order.length) {
      parts.push({ start: at, end: at + water.minutes, what: 'water', groups: [] });
      at += water.minutes;
    }
  }
  parts.push({ start: at, end: at + closeMinutes, what: 'close', groups: [] });
  return parts;
}
