import {
  gameReader,
  sideAtBat,
  situationOf,
  type EventOf,
  type GameEvent,
  type GameState,
  type Side,
  type Situation,
} from '../games/index.ts';
import type { PersonId } from '../units/index.ts';
import {
  hasChanged,
  shareOf,
  TENDENCIES,
  worthSaying,
  type Saying,
  type SeenBatch,
  type Share,
} from './tendencies.ts';

/** What is counted of an opponent: a habit by its agreed name. */
export const HABITS = [
  'slideStepRunnerOnFirst',
  'slideStepOther',
  'throwOverFirstPerPitch',
  'throwOverSecondPerPitch',
  'throwOverRepeat',
  'stepOff',
  'pitchOut',
  'throwBehindFirst',
  'throwBehindThird',
  'runs',
] as const;
export type Habit = (typeof HABITS)[number];

/** How the count stood, from the pitcher's side. */
export const STANDS = ['ahead', 'even', 'behind'] as const;
export type Stands = (typeof STANDS)[number];

/** How often they did and did not, at such counts and with that runner on. */
export interface HabitCount {
  /** The pitcher, the catcher or the runner. */
  who: PersonId;
  habit: Habit;
  stands: Stands;
  /** Ours who was on, the one farthest back; of a runner's own habit it is the runner. */
  runner: PersonId | null;
  yes: number;
  no: number;
}

/** How often one of theirs goes on one pitch with the next base open, before anything is seen. Judgement. */
const RUNS = [0.06, 20] as const;
const PRIORS = { ...TENDENCIES, runs: RUNS };

function standsOf({ balls, strikes }: Pick<Situation, 'balls' | 'strikes'>): Stands {
  return strikes > balls ? 'ahead' : strikes === balls ? 'even' : 'behind';
}

/** What a game showed of the people we faced, by habit; nothing of chances that never came. */
export function habitsIn(events: readonly GameEvent[], ours: Side): HabitCount[] {
  const counts = new Map<string, HabitCount>();
  const read = gameReader();
  let state: GameState | null = null;
  /** Throws to first since the last pitch, and whether they stepped off. */
  let [thrown, steppedOff] = [0, false];
  /** Their runner who could have gone on the last pitch. */
  let stayed: Pick<HabitCount, 'who' | 'stands'> | null = null;
  const count = (
    key: Pick<HabitCount, 'who' | 'habit' | 'stands' | 'runner'>,
    yes: number,
    no: number,
  ): void => {
    const { who, habit, stands, runner } = key;
    const name = `${who} ${habit} ${stands} ${runner ?? ''}`;
    const own = counts.get(name) ?? { ...key, yes: 0, no: 0 };
    counts.set(name, { ...own, yes: own.yes + yes, no: own.no + no });
  };
  for (const [at, event] of events.entries()) {
    const before: GameState | null = state;
    if (before && !before.over) {
      const now = situationOf(before);
      if (now.open) {
        if (sideAtBat(before.half) === ours) battery(before, now, event);
        else theirRunner(before, now, event);
      }
    }
    if (event.kind === 'pitch') [thrown, steppedOff] = [0, false];
    ({ state } = read(events.slice(0, at + 1)));
  }
  return [...counts.values()];

  /** What their pitcher and catcher do with ours on. */
  function battery({ bases }: GameState, now: Situation, event: GameEvent): void {
    const [first, second, third] = [bases[1], bases[2], bases[3]];
    const runner = first ?? second ?? third;
    if (runner === null) return;
    const stands = standsOf(now);
    const tell = (who: PersonId | null, habit: Habit, did: boolean): void => {
      if (who !== null) count({ who, habit, stands, runner }, did ? 1 : 0, did ? 0 : 1);
    };
    const { pitcher, catcher } = now;
    if (event.kind === 'pick' && event.by === 'C') {
      if (event.base === 'first') tell(catcher, 'throwBehindFirst', true);
      if (event.base === 'third') tell(catcher, 'throwBehindThird', true);
    } else if (event.kind === 'pick' && event.base === 'first') {
      if (thrown > 0) tell(pitcher, 'throwOverRepeat', true);
      thrown += 1;
      tell(pitcher, 'throwOverFirstPerPitch', true);
    } else if (event.kind === 'pick' && event.base === 'second') {
      tell(pitcher, 'throwOverSecondPerPitch', true);
    } else if (event.kind === 'stepOff') {
      steppedOff = true;
    } else if (event.kind === 'pitch') {
      if (first !== null) {
        tell(pitcher, thrown > 0 ? 'throwOverRepeat' : 'throwOverFirstPerPitch', false);
        tell(catcher, 'throwBehindFirst', false);
      }
      if (second !== null && first === null) tell(pitcher, 'throwOverSecondPerPitch', false);
      if (third !== null) tell(catcher, 'throwBehindThird', false);
      if (first !== null || second !== null) {
        tell(pitcher, 'stepOff', steppedOff);
        tell(catcher, 'pitchOut', event.pitchOut === true);
        if (event.style !== undefined) {
          const habit = first !== null ? 'slideStepRunnerOnFirst' : 'slideStepOther';
          tell(pitcher, habit, event.style === 'slideStep');
        }
      }
    }
  }

  /** Whether their runner goes. The steal is told behind its pitch: that pitch was no stay then. */
  function theirRunner({ bases }: GameState, now: Situation, event: GameEvent): void {
    const stands = standsOf(now);
    if (event.kind === 'pitch') {
      const [first, second] = [bases[1], bases[2]];
      const runner = second ?? first;
      stayed = null;
      if (runner === null || (second !== null && bases[3] !== null)) return;
      stayed = { who: runner, stands };
      count({ ...stayed, habit: 'runs', runner }, 0, 1);
      return;
    }
    if (event.kind !== 'steal') return;
    for (const runner of runnersOf(bases, event)) {
      const own = stayed?.who === runner ? stayed : null;
      const key = { who: runner, habit: 'runs' as const, stands: own?.stands ?? stands, runner };
      count(key, 1, own ? -1 : 0);
      if (own) stayed = null;
    }
  }
}

const FROM = { first: 1, second: 2, third: 3 } as const;

function runnersOf(bases: GameState['bases'], { runners }: EventOf<'steal'>): PersonId[] {
  return runners.flatMap(({ from }) => (from === 'batter' ? [] : (bases[FROM[from]] ?? [])));
}

/** A habit of a game some time ago. */
export interface SeenHabit extends HabitCount {
  startsAt: string;
}

const DAY_MS = 86_400_000;

function batchesOf(seen: readonly SeenHabit[], now: Date): SeenBatch[] {
  return seen.map(({ startsAt, yes, no }) => ({
    daysAgo: Math.max(0, (now.getTime() - Date.parse(startsAt)) / DAY_MS),
    yes,
    no,
  }));
}

const ofHabit = (seen: readonly SeenHabit[], who: PersonId, habit: Habit): SeenHabit[] =>
  seen.filter((each) => each.who === who && each.habit === habit);

/** How often somebody does something, older games fading; null while it was never seen one way or the other. */
export function habitOf(
  seen: readonly SeenHabit[],
  who: PersonId,
  habit: Habit,
  now: Date,
): Share | null {
  const own = ofHabit(seen, who, habit);
  return own.length === 0 ? null : shareOf(batchesOf(own, now), PRIORS[habit]);
}

/** A cell lies near what the same person does overall, as so many chances. Judgement. */
const CELL_WEIGHT = 8;

/** The same at one kind of count, or with one runner on; null: never seen there. */
export function habitAt(
  seen: readonly SeenHabit[],
  who: PersonId,
  habit: Habit,
  at: Partial<Pick<HabitCount, 'stands' | 'runner'>>,
  now: Date,
): Share | null {
  const overall = habitOf(seen, who, habit, now);
  const own = ofHabit(seen, who, habit).filter(
    ({ stands, runner }) =>
      (at.stands === undefined || at.stands === stands) &&
      (at.runner === undefined || at.runner === runner),
  );
  return overall === null || own.length === 0
    ? null
    : shareOf(batchesOf(own, now), [overall.mean, CELL_WEIGHT]);
}

/** Whether the last game they were seen in is other than those before; null: there was one game only. */
export function habitChanged(
  seen: readonly SeenHabit[],
  who: PersonId,
  habit: Habit,
  now: Date,
): { yes: number; of: number; startsAt: string } | null {
  const own = ofHabit(seen, who, habit);
  const last = own.reduce((latest, { startsAt }) => (startsAt > latest ? startsAt : latest), '');
  const [latest, before] = [
    own.filter(({ startsAt }) => startsAt === last),
    own.filter(({ startsAt }) => startsAt !== last),
  ];
  if (before.length === 0) return null;
  const yes = latest.reduce((sum, each) => sum + each.yes, 0);
  const of = latest.reduce((sum, each) => sum + each.yes + each.no, 0);
  const { changed } = hasChanged(shareOf(batchesOf(before, now), PRIORS[habit]), yes, of);
  return changed ? { yes, of, startsAt: last } : null;
}

/** What running is worth against staying, when they do not and when they do. In chance to win. */
export interface GoAgainst {
  without: number;
  with: number;
}

/**
 * Whether a habit changes whether the runner goes: said only where it does, watched where knowing more would.
 * @returns null: never seen
 */
export function goAgainst(
  seen: readonly SeenHabit[],
  who: PersonId,
  habit: Habit,
  { without, with: withIt }: GoAgainst,
  now: Date,
): (Saying<'go' | 'stay'> & { share: Share }) | null {
  const share = habitOf(seen, who, habit, now);
  if (!share) return null;
  const acts = [
    { name: 'stay' as const, at0: 0, at1: 0 },
    { name: 'go' as const, at0: without, at1: withIt },
  ];
  return { share, ...worthSaying(acts, PRIORS[habit][0], share, 'win') };
}
