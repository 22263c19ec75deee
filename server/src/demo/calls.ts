import type { TeamFile } from '@bradyon/contract/files';
import { judgedOf, playsAtBat, stealsHere, type StealHere } from '@bradyon/core/advice';
import {
  situationOf,
  type GameState,
  type MadeUpRunning,
  type Side,
  type Situation,
} from '@bradyon/core/games';
import {
  baseOut,
  breakEvenOf,
  byWin,
  gameRulesOf,
  openBook,
  playLevelOf,
  sideOf,
  winTables,
  type Value,
} from '@bradyon/core/innings';
import { makeRandom, type Random } from '@bradyon/core/maths';
import type { Person } from '@bradyon/core/people';
import { keepCall } from '@bradyon/core/review';
import { conditionsOf, populationsOf, runnerOf } from '@bradyon/core/sprint';
import type { KnownPeople } from '@bradyon/core/steals';
import type { GameId, PersonId } from '@bradyon/core/units';

/** What is true in the demo's world and not in the shipped constants: its runners leave later. Seconds. */
const LATER_SECONDS = 0.1;
/** How often they go on one pitch, by what the board says; and how often a coach sends them against it. */
const GOES: Record<string, number> = { go: 0.6, close: 0.5, untimed: 0.3, stay: 0.1 };
const CALLED = 0.8;
const MISSED_SIGN = 0.04;
/** Between nearly never and nearly always. */
const [LEAST_NEEDED, MOST_NEEDED] = [0.02, 0.98];

/** What the staff knows of everybody in a file, as the screens work it out. */
function knownOf(
  file: TeamFile,
): KnownPeople & { personOf: (id: PersonId | null) => Person | null } {
  const { level, levelChanges, ruleset } = file.team;
  const field = conditionsOf({ level, levelChanges, ruleset });
  const people = new Map(file.people.map((person) => [person.id, person]));
  const kept = new Map<PersonId, ReturnType<typeof populationsOf>>();
  const of = (person: Person): ReturnType<typeof populationsOf> => {
    const before = kept.get(person.id);
    if (before) return before;
    const own = file.readings.filter(({ personId }) => personId === person.id);
    const found = populationsOf(person, own, field, new Map());
    kept.set(person.id, found);
    return found;
  };
  return {
    field,
    of,
    runner: (person) => runnerOf(person, of(person), field),
    personOf: (id) => (id === null ? null : (people.get(id) ?? null)),
  };
}

/** A call as a device keeps it before a pitch, and what was done. */
export interface DemoCall {
  call: Record<string, unknown>;
  goes: boolean;
  safe: number;
  calledSteal: boolean;
}

/** Calls of a team's made-up games: judged as the desk judges, decided by a coach who is only human. */
export function demoCalls(file: TeamFile): {
  running: (
    gameId: GameId,
    ours: Side,
    seed: number,
  ) => {
    running: MadeUpRunning;
    /** The call of the pitch that was drawn last; null: nobody was on. */
    taken: () => DemoCall | null;
  };
} {
  const known = knownOf(file);
  const rules = gameRulesOf(file.team.ruleset);
  const level = playLevelOf(file.team.level, file.team.playChanges);
  const side = sideOf([level]);
  const book = openBook(winTables(side, side, rules));
  const { stealAllowed, buntAllowed } = file.team.ruleset;
  const judged = new Map<string, StealHere[]>();

  const valueAt = (state: GameState): Value =>
    byWin(book, {
      inning: state.inning,
      half: state.half,
      homeLead: state.runs.home - state.runs.away,
    });
  const stealsOf = (state: GameState, value: Value): StealHere[] => {
    const now = situationOf(state);
    if (!now.open) return [];
    const pitcher = known.personOf(now.pitcher);
    const catcher = known.personOf(now.catcher);
    if (!pitcher || !catcher) return [];
    const needed = (gamble: StealHere['gamble']): number => {
      const found = breakEvenOf(gamble, baseOut(1, state.outs), value)?.needed;
      return typeof found === 'number'
        ? Math.min(MOST_NEEDED, Math.max(LEAST_NEEDED, found))
        : MOST_NEEDED;
    };
    const batter = known.personOf(now.batter);
    // The race is the same each time these people meet: only what is needed differs.
    const key = [now.bases.first, pitcher.id, catcher.id, batter?.bats].join(' ');
    const before = judged.get(key);
    const found =
      before ??
      stealsHere(state.bases, known, known.personOf, {
        needed,
        style: 'legLift',
        battery: { pitcher, catcher },
        batter,
      });
    judged.set(key, found);
    return found.map((each) => {
      const need = needed(each.gamble);
      const { low, high, chance, verdict } = each.steal;
      const isUntimed = verdict === 'untimed' && low < need;
      const word = high < need ? 'stay' : isUntimed ? 'untimed' : chance >= need ? 'go' : 'close';
      return { ...each, steal: { ...each.steal, verdict: word } };
    });
  };

  return {
    running: (gameId, ours, seed) => {
      const random = makeRandom(seed);
      let taken: DemoCall | null = null;
      return {
        running: (state, drawing) => {
          taken = null;
          const weBat = (state.half === 'top' ? 'away' : 'home') === ours;
          if (!weBat) return { goes: drawing() < 0.06, safe: 0.7 };
          const value = valueAt(state);
          const steals = stealsOf(state, value);
          const [race] = steals;
          const now = situationOf(state);
          if (!race || !now.open) return { goes: false, safe: 0 };
          taken = callOf({ gameId, ours, state, now, value, race, steals, random });
          return { goes: taken.goes, safe: taken.safe };
        },
        taken: () => {
          const found = taken;
          taken = null;
          return found;
        },
      };
    },
  };

  function callOf(asked: {
    gameId: GameId;
    ours: Side;
    state: GameState;
    now: Situation;
    value: Value;
    race: StealHere;
    steals: readonly StealHere[];
    random: Random;
  }): DemoCall {
    const { gameId, ours, state, now, value, race, steals, random } = asked;
    const { steal } = race;
    const plays = playsAtBat(
      {
        bases: 1,
        outs: state.outs,
        balls: state.balls,
        strikes: state.strikes,
        value,
        level,
        rates: level.rates,
        bunt: level.bunt,
        allowed: { stealAllowed, buntAllowed },
        infieldIn: false,
      },
      judgedOf(steals, []),
    );
    const wants = random() < (GOES[steal.verdict] ?? 0);
    const calledSteal = wants && random() < CALLED;
    const goes = wants && !(calledSteal && random() < MISSED_SIGN);
    return {
      goes,
      calledSteal,
      // What is true is not what the board says.
      safe: steal.chanceWith(-LATER_SECONDS),
      call: keepCall({
        gameId,
        situation: now,
        ours,
        race,
        plays,
        pitcher: known.personOf(now.pitcher),
        batter: known.personOf(now.batter),
        need: neededOf(state, value),
        chanceToWin: value(1, state.outs, 0, 0),
        called: calledSteal ? 'steal' : null,
        calledBy: calledSteal ? 'third' : null,
        changes: file.team.levelChanges,
      }),
    };
  }

  function neededOf(state: GameState, value: Value): number {
    const found = breakEvenOf('stealSecond', baseOut(1, state.outs), value)?.needed;
    return typeof found === 'number'
      ? Math.min(MOST_NEEDED, Math.max(LEAST_NEEDED, found))
      : MOST_NEEDED;
  }
}
