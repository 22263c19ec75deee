import {
  CUES,
  judgeBlock,
  judgeLeaves,
  judgeShows,
  needs,
  REP_MEASURES,
  readJudgement,
  repsOf,
  shortfall,
  type KeptRep,
  type PracticePlayer,
  type StationName,
} from '@bradyon/core/drills';
import type { BuntTry } from '@bradyon/core/bunts';
import type { Person } from '@bradyon/core/people';
import type { Sport } from '@bradyon/core/rules';
import type { Reading } from '@bradyon/core/timing';
import type { PersonId } from '@bradyon/core/units';

/** What is known of somebody that a practice may add to. */
export interface KnownOfPlayer {
  person: Person;
  readings: readonly Pick<Reading, 'kind' | 'takenAt' | 'asideReason'>[];
  reps: readonly KeptRep[];
  bunts: readonly BuntTry[];
  /** When they last did a test dive; null: never. */
  lastDive: string | null;
  /** How many signs they should see again; null: the team's signs are not laid here. */
  signsDue: number | null;
  /** What their games say of stations; empty: nothing, and the usual needs stand. */
  byGames: Partial<Record<StationName, number>>;
}

/** What a practice is planned for. */
export interface TeamAtPractice {
  /** Nobody leads off: leaving in time is the skill. */
  leavesAtRelease: boolean;
  buntAllowed: boolean;
  sport: Sport;
  /** What the team lets a player run on a day. */
  sprints: number;
  now: Date;
}

const DAY_MS = 86_400_000;
/** As much as a station is wanted of which nothing is measured. Judgement. */
const USUAL_NEED = 0.6;
const SOME_NEED = 0.3;
/** A practice bunt is down so often at most levels, and that counts as so many. Judgement. */
const [USUAL_DOWN, USUAL_BUNTS] = [0.65, 8];
const OLD_DIVES_DAYS = 60;

/** How much one player lacks each station, and what they may still run. */
export function needsOf(known: KnownOfPlayer, team: TeamAtPractice): PracticePlayer<PersonId> {
  const { person, reps } = known;
  return {
    id: person.id,
    sprintsLeft: team.sprints,
    // What games say stands in place of what is usual.
    needs: {
      ...byReps(reps, team),
      bunts: team.buntAllowed ? buntNeed(known.bunts) : 0,
      squeeze: team.buntAllowed ? squeezeNeed(reps, team.sport) : 0,
      dives: team.leavesAtRelease ? 0 : diveNeed(known.lastDive, team.now),
      rounding: USUAL_NEED,
      tags: USUAL_NEED,
      signs: known.signsDue === null ? SOME_NEED : needs.signs(known.signsDue),
      throws: throwNeed(known, team.now),
      steals: timesNeed(known, ['steal', 'homeToFirst'], team.now),
      ...known.byGames,
    },
  };
}

function byReps(
  reps: readonly KeptRep[],
  { leavesAtRelease }: TeamAtPractice,
): Partial<Record<StationName, number>> {
  const starts = repsOf(reps, 'start').map(({ rep }) => rep);
  const reads = repsOf(reps, 'read').map(({ rep }) => rep);
  const leaves = repsOf(reps, 'leave').map(({ rep }) => rep.seconds);
  const typical = REP_MEASURES.flatMap(
    (measure) =>
      judgeBlock(starts.filter((each) => each.measure === measure && each.calls !== 'clapSeen'))
        .estimate?.typicalSeconds ?? [],
  );
  const sensitivity = CUES.flatMap((cue) => readJudgement(reads, cue)?.sensitivity ?? []);
  const onTime = leaves.length < 2 ? 0 : judgeLeaves(leaves, 0).onTime;
  return {
    starts: needs.starts(typical[0] ?? null),
    reads: needs.reads(sensitivity.length === 0 ? null : Math.min(...sensitivity)),
    leaves: leavesAtRelease ? needs.leaves(onTime, leaves.length) : 0,
    // Who has answered plays coaches a base.
    sendHold: repsOf(reps, 'send').length > 0 ? 1 : 0,
  };
}

function buntNeed(bunts: readonly BuntTry[]): number {
  const offered = bunts.filter(({ result }) => result !== 'pulledBack');
  const fair = offered.filter(({ result }) => result === 'fair').length;
  const yes = USUAL_BUNTS * USUAL_DOWN + fair;
  return needs.bunts(shortfall([yes, USUAL_BUNTS + offered.length - yes]));
}

/** A show is learned as a leave is: so many of them in time. */
function squeezeNeed(reps: readonly KeptRep[], sport: Sport): number {
  const judged = judgeShows(
    sport,
    repsOf(reps, 'squeeze').map(({ rep }) => rep),
  );
  return needs.leaves(judged?.show.good ?? 0, judged?.count ?? 0);
}

function diveNeed(lastDive: string | null, now: Date): number {
  if (lastDive === null) return 1;
  return (now.getTime() - Date.parse(lastDive)) / DAY_MS > OLD_DIVES_DAYS ? USUAL_NEED : 0;
}

function timesNeed(
  { readings }: Pick<KnownOfPlayer, 'readings'>,
  kinds: readonly Reading['kind'][],
  now: Date,
): number {
  const own = readings.filter(
    ({ kind, asideReason }) => kinds.includes(kind) && asideReason === null,
  );
  const last = own.reduce((latest, { takenAt }) => Math.max(latest, Date.parse(takenAt)), 0);
  const daysAgo = own.length === 0 ? null : (now.getTime() - last) / DAY_MS;
  return needs.times(own.length, daysAgo);
}

/** Those who throw in a steal lack pops and deliveries; nobody else does. */
function throwNeed(known: KnownOfPlayer, now: Date): number {
  const { positions } = known.person;
  return Math.max(
    positions.includes('C') ? timesNeed(known, ['pop'], now) : 0,
    positions.includes('P') ? timesNeed(known, ['delivery'], now) : 0,
  );
}
