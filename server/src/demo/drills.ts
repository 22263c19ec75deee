import type { PracticeRecord, RepRecord } from '@bradyon/contract/drills';
import {
  answerShown,
  CALL_DRILLS,
  CUES,
  makeBlock,
  nextShown,
  readBefore,
  USUAL_READ_SECONDS,
  type Rep,
  type SendLevelName,
  type StartRep,
} from '@bradyon/core/drills';
import { makeRandom, normalDraw, type Random } from '@bradyon/core/maths';
import type { Person } from '@bradyon/core/people';
import type { Sport } from '@bradyon/core/rules';
import type { PersonId, PracticeId, RepId } from '@bradyon/core/units';
import { makeUuid } from './uuid.ts';

/** How quick they start on the first and the last of their days, how they read and leave. */
const RUNNERS = [
  { reactions: [0.27, 0.21], read: 0.26, eager: 0.1, late: 0.05 },
  { reactions: [0.23, 0.22], read: 0.38, eager: 0.45, late: 0.02 },
  { reactions: [0.31, 0.3], read: 0.45, eager: 0.2, late: 0.09 },
  { reactions: [0.24], read: null, eager: 0, late: null },
];
const DAYS_AGO = [23, 2];
const DAY_MS = 86_400_000;
const STARTS = 16;
const READS = 30;
const LEAVES = 10;
const SQUEEZES = 8;

/** Drills of two practices, and the next one planned; a source of its own, so that nothing else depends on them. */
export function demoReps(order: readonly Person[], sport: Sport, today: Date): RepRecord[] {
  const random = makeRandom(79);
  const rows: RepRecord[] = [];
  for (const [place, runner] of RUNNERS.entries()) {
    const person = order[place];
    if (!person) continue;
    for (const [nth, seconds] of runner.reactions.entries()) {
      const daysAgo = DAYS_AGO.at(nth - runner.reactions.length) ?? 2;
      const at = today.getTime() - daysAgo * DAY_MS - 4 * 3_600_000;
      const session = makeUuid(random);
      const reps: Rep[] = [
        ...startsOf(random, session, seconds),
        ...(runner.read === null || nth === 0
          ? []
          : readsOf(random, session, { ...runner, read: runner.read }, sport)),
        ...(runner.late === null || nth === 0 ? [] : leavesOf(random, session, runner.late)),
      ];
      for (const [count, rep] of reps.entries()) {
        rows.push(rowOf(random, person.id, rep, at + count * 9000));
      }
    }
  }
  // One bunter shows too soon; the other waits for the foot.
  for (const [place, show] of [-0.06, 0.06].entries()) {
    const person = order[place + 1];
    const session = makeUuid(random);
    for (let nth = 0; person && nth < SQUEEZES; nth += 1) {
      const rep = squeezeOf(random, session, show, nth, sport);
      rows.push(rowOf(random, person.id, rep, today.getTime() - 2 * DAY_MS + nth * 25_000));
    }
  }
  // Two who coach a base when they do not run: one sends too much.
  const level: SendLevelName = sport === 'softball' ? 'fpHs' : 'hs';
  for (const person of order.slice(4, 6)) {
    const session = makeUuid(random);
    for (let nth = 0; nth < 12; nth += 1) {
      const answer = random() < 0.75 ? 'send' : 'hold';
      const guess = Math.round(3 + random() * 6) / 10;
      const own = { drill: 'send', session, level, seed: nth + 1, answer, coach: null } as const;
      const rep: Rep = nth % 2 === 0 ? { ...own, guess } : own;
      rows.push(rowOf(random, person.id, rep, today.getTime() - 2 * DAY_MS + nth * 20_000));
    }
  }
  return rows;
}

function rowOf(random: Random, personId: PersonId, rep: Rep, atMs: number): RepRecord {
  const id = makeUuid(random) as RepId;
  return { id, personId, undoes: null, rep, takenAt: new Date(atMs).toISOString() };
}

/** To the thousandth, as a device keeps it. */
const milli = (seconds: number): number => Number(seconds.toFixed(3));

function startsOf(random: Random, session: string, seconds: number): StartRep[] {
  return makeBlock(CALL_DRILLS.go, Math.floor(random() * 1e6), STARTS).reps.map(
    ({ call }, nth): StartRep => ({
      drill: 'start',
      session,
      calls: 'go',
      technique: nth % 4 === 0 || nth % 4 === 3 ? 'crossover' : 'jab',
      measure: 'coachTap',
      call,
      sense: 'heard',
      tapSeconds: call === 'none' ? null : milli(seconds + 0.16 + normalDraw(random, 0, 0.04)),
      outputLateSeconds: 0.06,
      handsSeconds: 0,
      way: 'go',
    }),
  );
}

function readsOf(
  random: Random,
  session: string,
  { read, eager }: { read: number; eager: number },
  sport: Sport,
): Rep[] {
  const [cue] = sport === 'softball' ? (['dirt'] as const) : CUES;
  let level = readBefore(USUAL_READ_SECONDS[cue]);
  return Array.from({ length: READS }, (): Rep => {
    const shownSeconds = nextShown(level);
    const signal = random() < 0.5;
    const sees = random() < Math.min(0.95, 0.5 + Math.max(0, shownSeconds - read + 0.15) * 1.6);
    const went = sees ? signal : random() < 0.5 + eager;
    level = answerShown(level, shownSeconds, went === signal);
    return { drill: 'read', session, cue, signal, shownSeconds: milli(shownSeconds), went };
  });
}

function leavesOf(random: Random, session: string, late: number): Rep[] {
  return Array.from({ length: LEAVES }, (): Rep => {
    return { drill: 'leave', session, seconds: milli(normalDraw(random, late, 0.06)) };
  });
}

function squeezeOf(random: Random, session: string, show: number, nth: number, sport: Sport): Rep {
  // Nobody in softball leaves before the release.
  const breaks = sport === 'softball' ? 0.13 : -0.06;
  return {
    drill: 'squeeze',
    session,
    showSeconds: milli(normalDraw(random, show, 0.05)),
    breakSeconds: nth % 2 === 0 ? milli(normalDraw(random, breaks, 0.06)) : null,
    outcome: random() < 0.7 ? 'down' : 'foul',
  };
}

/** Late in the afternoon of a day, where the demo is. */
function atFive(today: Date, inDays: number): string {
  const day = new Date(today.getTime() + inDays * DAY_MS);
  day.setUTCHours(17, 0, 0, 0);
  return day.toISOString();
}

/** A practice that was held, and the next one. */
export function demoPractices(order: readonly Person[], today: Date): PracticeRecord[] {
  const random = makeRandom(80);
  const ids = order.map(({ id }) => id);
  const groups = [0, 1, 2].map((group) => ids.filter((_, place) => place % 3 === group));
  const practice = (name: string, inDays: number, stations: string[]): PracticeRecord => ({
    id: makeUuid(random) as PracticeId,
    name,
    startsAt: atFive(today, inDays),
    warmUpMinutes: 15,
    closeMinutes: 5,
    changeMinutes: 2,
    slotMinutes: 14,
    water: { minutes: 3, everySlots: 2 },
    coaches: 3,
    order: stations,
    own: [{ id: 'long-toss', name: 'Long toss', notes: 'Start at 60 ft. Stop when it gets sore.' }],
    groups,
    notes: 'Cones and two phones. Helmets at bunts.',
  });
  return [
    practice('Before the Otters', -2, ['starts', 'bunts', 'signs', 'reads']),
    practice('Running day', 2, ['starts', 'long-toss', 'rounding', 'reads', 'bunts']),
  ];
}
