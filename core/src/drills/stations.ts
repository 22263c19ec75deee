import { EIGHT_IN_TEN } from '../maths/index.ts';

/** Stations of a practice that the numbers can ask for, in their order. */
export const STATION_NAMES = [
  'starts',
  'reads',
  'dives',
  'bunts',
  'squeeze',
  'leaves',
  'rounding',
  'tags',
  'signs',
  'throws',
  'steals',
  'sendHold',
] as const;
export type StationName = (typeof STATION_NAMES)[number];

export type Arm = 'pitcher' | 'catcher' | 'outfielder';

/** What a station takes, and what it gives. */
export interface Station {
  /** Places on the field that nobody else may use meanwhile. */
  places: readonly string[];
  coaches: number;
  atOnce: number;
  secondsPerRep: number;
  mostReps: number;
  /** Of a full sprint, each rep. */
  sprints: number;
  throwsPerRep: Readonly<Partial<Record<Arm, number>>>;
  setUpMinutes: number;
  /** After so many reps most of it is learned. */
  learnedReps: number;
  /** Runs a season for a player in full need: to set stations in order, never to promise. Judgement. */
  gainRuns: number;
  mostVisits: number;
}

function station(
  places: readonly string[],
  [coaches, atOnce, secondsPerRep, mostReps]: readonly [number, number, number, number],
  [sprints, setUpMinutes, learnedReps, gainRuns, mostVisits]: readonly [
    number,
    number,
    number,
    number,
    number,
  ],
  throwsPerRep: Station['throwsPerRep'] = {},
): Station {
  return {
    places,
    coaches,
    atOnce,
    secondsPerRep,
    mostReps,
    sprints,
    setUpMinutes,
    learnedReps,
    gainRuns,
    mostVisits,
    throwsPerRep,
  };
}

/** The stations, agreed. */
export const STATIONS: Record<StationName, Station> = {
  starts: station(['grass'], [0, 2, 12, 10], [0.5, 1, 60, 0.4, 2]),
  reads: station(['bullpen'], [0, 2, 10, 20], [0, 1, 120, 0.35, 2]),
  dives: station(['outfield'], [1, 2, 20, 3], [0.25, 2, 3, 0.3, 1]),
  bunts: station(['cage'], [1, 1, 8, 20], [0, 2, 80, 0.2, 2]),
  squeeze: station(['home', 'third'], [1, 1, 20, 6], [0.5, 2, 30, 0.12, 1], { pitcher: 1 }),
  leaves: station(['first'], [1, 2, 14, 10], [0.5, 1, 50, 0.35, 2]),
  rounding: station(['first', 'middle'], [1, 2, 25, 4], [1, 2, 30, 0.4, 1]),
  tags: station(['third'], [1, 2, 25, 4], [1, 1, 15, 0.3, 1]),
  signs: station(['shade'], [1, 6, 8, 30], [0, 0, 60, 0.3, 2]),
  throws: station(['home', 'middle'], [1, 2, 20, 8], [0, 2, 6, 0.2, 1], {
    pitcher: 0.5,
    catcher: 1,
  }),
  steals: station(['first', 'middle'], [1, 1, 30, 3], [1, 1, 3, 0.25, 1]),
  sendHold: station([], [0, 2, 15, 20], [0, 1, 80, 0.6, 2]),
};

const within = (need: number): number => Math.min(1, Math.max(0, need));
/** Where nothing is known of somebody yet. */
const UNKNOWN_NEED = 0.7;

/** How much a player lacks something, 0..1: by what is known, null where nothing is. */
export const needs = {
  /** @param daysAgo since the last one */
  times: (count: number, daysAgo: number | null): number =>
    count === 0 || daysAgo === null ? 1 : within(Math.max((daysAgo - 28) / 28, (6 - count) / 6)),
  reads: (sensitivity: number | null): number =>
    sensitivity === null ? UNKNOWN_NEED : within((2 - sensitivity) / 1.5),
  starts: (typicalSeconds: number | null): number =>
    typicalSeconds === null ? UNKNOWN_NEED : within((typicalSeconds - 0.2) / 0.1),
  bunts: (shortOfWanted: number): number => within(shortOfWanted / 0.25),
  signs: (due: number): number => within(due / 6),
  dives: (sdFeet: number | null, daysAgo: number | null): number =>
    sdFeet === null
      ? 1
      : within(Math.max((EIGHT_IN_TEN * sdFeet - 0.25) / 0.5, (daysAgo ?? 0) > 60 ? 0.5 : 0)),
  leaves: (onTime: number, count: number): number =>
    count < 5 ? UNKNOWN_NEED : within((0.8 - onTime / count) / 0.5),
};

/** A player of a practice. */
export interface PracticePlayer<Id extends string = string> {
  id: Id;
  needs: Readonly<Partial<Record<StationName, number>>>;
  /** Full sprints left today. */
  sprintsLeft: number;
}

const byNeed =
  (need: (player: PracticePlayer) => number) =>
  (a: PracticePlayer, b: PracticePlayer): number => {
    const more = need(b) - need(a);
    return Math.abs(more) > 1e-9 ? more : a.id < b.id ? -1 : 1;
  };

/** Players dealt into groups that lack about as much as each other. */
export function makeGroups<Id extends string>(
  players: readonly PracticePlayer<Id>[],
  count: number,
): Id[][] {
  const lack = (player: PracticePlayer): number =>
    STATION_NAMES.reduce(
      (sum, name) => sum + STATIONS[name].gainRuns * (player.needs[name] ?? 0),
      0,
    );
  const groups = Array.from({ length: count }, (): Id[] => []);
  for (const [nth, { id }] of players.toSorted(byNeed(lack)).entries()) {
    const round = Math.floor(nth / count);
    const place = nth % count;
    groups[round % 2 === 0 ? place : count - 1 - place]?.push(id);
  }
  return groups;
}

const TWICE_FROM = 0.5;

/** In which order a group goes at a station, and who goes twice. */
export function lineUp<Id extends string>(
  group: readonly PracticePlayer<Id>[],
  name: StationName,
): { order: Id[]; twice: Id[] } {
  const need = (player: PracticePlayer): number => player.needs[name] ?? 0;
  const line = group.toSorted(byNeed(need));
  return {
    order: line.map(({ id }) => id),
    twice: line.filter((player) => need(player) >= TWICE_FROM).map(({ id }) => id),
  };
}
