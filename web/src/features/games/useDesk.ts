import {
  choose,
  factsOf,
  judgedOf,
  NOTHING_KNOWN,
  playsAtBat,
  playsInField,
  stealsHere,
  sumAloud,
  type Known,
  type Memory,
  type RankedPlay,
  type Reminder,
  type Said,
  type StealHere,
} from '@bradyon/core/advice';
import { baseOut, breakEvenOf, type Value } from '@bradyon/core/innings';
import { longestLead } from '@bradyon/core/leads';
import type { Situation } from '@bradyon/core/games';
import type { Person } from '@bradyon/core/people';
import { pitchesFor } from '@bradyon/core/race';
import { expectedTime } from '@bradyon/core/sprint';
import { judgeSteal, type StealQuestion } from '@bradyon/core/steals';
import { plainContext, rhythmOf, type DeliveryStyle } from '@bradyon/core/timing';
import type { GameId, PersonId } from '@bradyon/core/units';
import { useCallback, useMemo } from 'react';
import { useKnownBunt } from '../bunts/index.ts';
import { useLineupOdds, type GameSituation, type LineupOdds } from '../innings/index.ts';
import { spreadOfEstimate, useLeads } from '../leads/index.ts';
import { orTypical, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useNow, useTimes } from '../timing/index.ts';
import type { GameInHand } from './useGame.ts';
import { basesOf, outsWords } from './situationWords.ts';
import { useReminders } from './useReminders.ts';

/** What a runner risks on one throw over in a game, and what is asked of a steal without figures. */
const LEAD_RISK = 0.02;
/** A chance that is asked for is never certain. */
const MOST_NEEDED = 0.98;
/** Too little between safe and out to tell, in chance to win. */
const NO_STAKE = 0.005;
const OLD_POP_DAYS = 28;
const MS_PER_DAY = 86_400_000;
/** How often their runner goes on one pitch, while nothing of them is known. Judgement. */
const THEY_GO = 0.12;

/**
 * What an open game's screens show: the race, what is worth doing, what to say. The last two are worked out when
 * they are asked for: a tap waits for the race alone.
 */
export interface Desk {
  situation: Situation;
  /** Where it stands, as the other screens ask about it. */
  offered: GameSituation;
  /** The race that matters on the next pitch: the usual way of the nearest base that is free; null: nobody may go. */
  race: StealHere | null;
  /** Every way to go. */
  steals: readonly StealHere[];
  needed: number;
  /** What the race is about, in chance to win of the side at bat; null: nobody may go. */
  stake: { safe: number; hold: number; out: number } | null;
  /** So little is at stake that the inputs are not good enough to tell. */
  isTie: boolean;
  plays: readonly RankedPlay[];
  odds: LineupOdds;
  /** What it is worth to the side at bat, in chance to win. */
  value: Value;
  chanceToWin: number;
  pitcher: Person;
  catcher: Person;
  batter: Person | null;
  style: DeliveryStyle;
  setStyle: (style: DeliveryStyle) => void;
  /** What is said to the runner. */
  line: string;
  /** What stands in for {sum}, {outs} and {hold} in a reminder. */
  figures: { sum: string; outs: string; hold: string };
  /** Whether a bunt is worked out for these people, not taken from the level. */
  buntsByPeople: boolean;
  /** As long, and tells nobody anything. */
  decoy: string;
  said: readonly Said[];
  safeLeadFeet: number | null;
  isReady: boolean;
}

interface Heard {
  pitch: number;
  before: Memory;
  now: Memory;
}
/** What was said in each game so far; a device that starts again says it all once more. */
const heardIn = new Map<GameId, Heard>();

export function useDesk(game: GameInHand): Desk {
  const team = useTeam();
  const times = useTimes(team);
  const leads = useLeads({ whatIf: false });
  const nowMs = useNow();
  const reminders = useReminders(team.id);
  const { playing, pick } = usePlaying(team.id);
  const { situation, now, ours, theirs, weBat } = game;
  const { state } = now.reading;
  // Theirs stand as far off as they were seen.
  const { led } = leads.looks;
  const { person: personOf } = game;
  const person = useCallback(
    (id: PersonId | null | undefined): Person | null => {
      const found = personOf(id);
      return found && led(found);
    },
    [personOf, led],
  );
  const present = (ids: readonly PersonId[]): Person[] => ids.flatMap((id) => person(id) ?? []);
  const odds = useLineupOdds(present(situation.order[ours]), present(situation.order[theirs]));

  const isOver = situation.over !== null;
  const bases = basesOf(situation);
  const outs = Math.min(2, situation.outs);
  const stands = useSame({
    bases,
    outs,
    inning: situation.inning,
    half: ours === 'away' ? ('top' as const) : ('bottom' as const),
    batting: weBat ? ('we' as const) : ('they' as const),
    spot: Math.max(0, situation.order[ours].indexOf(weBat ? situation.batter : nextOf(game))),
    lead: situation.runs[ours] - situation.runs[theirs],
  });
  // Apart from it: a strike alone must not ask for the races again.
  const offered: GameSituation = {
    ...stands,
    inGame: {
      order: situation.order[ours],
      on: {
        ...(situation.bases.first && { 1: situation.bases.first }),
        ...(situation.bases.second && { 2: situation.bases.second }),
        ...(situation.bases.third && { 3: situation.bases.third }),
      },
      strikes: Math.min(2, situation.strikes) as 0 | 1 | 2,
      infield: situation.alignment?.infield ?? null,
      outfield: situation.alignment?.outfield ?? null,
    },
  };
  const { style } = playing;
  const { pitcher: pitcherId, catcher: catcherId, batter: batterId } = situation;
  const onBase = useSame(state && !isOver ? state.bases : null);
  // A ball or a strike changes nothing of it, and it is the dearest part of the desk.
  const races = useMemo(() => {
    const pitcher = orTypical(person(pitcherId), 'pitcher');
    const catcher = orTypical(person(catcherId), 'catcher');
    const batter = person(batterId);
    const value = odds.valueAt(stands);
    const breakEven = (gamble: StealHere['gamble']) =>
      breakEvenOf(gamble, baseOut(stands.bases, stands.outs), value);
    const needed = (gamble: StealHere['gamble']): number => {
      const found = breakEven(gamble)?.needed;
      if (typeof found === 'number') return Math.min(MOST_NEEDED, Math.max(0.02, found));
      return found === 'always' ? 0.02 : found === undefined ? team.neededChance : MOST_NEEDED;
    };
    const ask = { needed, style, battery: { pitcher, catcher }, batter };
    const steals = onBase ? stealsHere(onBase, times, person, ask) : [];
    const together =
      onBase?.[1] && onBase[2] ? stealsHere(onBase, times, person, { ...ask, together: true }) : [];
    const race = steals.find(({ base }) => base !== 'home') ?? steals[0] ?? null;
    const stake = race && breakEven(race.gamble);
    return { pitcher, catcher, batter, value, needed, steals, together, race, stake };
  }, [pitcherId, catcherId, batterId, onBase, stands, style, odds, times, person, team]);
  const { pitcher, catcher, batter, value, needed, steals, together, race, stake } = races;
  const rates = batter
    ? (odds[weBat ? 'ours' : 'theirs'].find(({ person }) => person.id === batter.id) ?? null)
    : null;
  const on = useMemo(() => {
    const named = (base: 1 | 2 | 3): Partial<Record<1 | 2 | 3, Person>> => {
      const runner = person(onBase?.[base]);
      return runner ? { [base]: runner } : {};
    };
    return { ...named(1), ...named(2), ...named(3) };
  }, [onBase, person]);
  const known = useKnownBunt({
    bases,
    outs,
    batter: weBat ? batter : null,
    on,
    pitcherThrows: pitcher.throws,
  });
  const { level } = odds.game;
  const spotHere = {
    bases,
    outs,
    balls: situation.balls,
    strikes: situation.strikes,
    value,
    level: known.squeeze ? { ...level, squeeze: known.squeeze } : level,
    rates: rates?.rates ?? level.rates,
    bunt: known.bunt ?? rates?.bunt ?? level.bunt,
    allowed: odds.game.allowed,
    infieldIn: situation.alignment?.infield === 'in',
  };
  const plays = onceAsked(() => {
    if (isOver) return [];
    return weBat
      ? playsAtBat(spotHere, judgedOf(steals, together))
      : playsInField(spotHere, theirSteal());
  });

  function theirSteal() {
    if (!race) return null;
    const { question } = race;
    const at = (next: StealQuestion, pitch?: 'pitchout'): number =>
      chanceAgainst(next, needed(race.gamble), pitch);
    const hasStyles = team.ruleset.leadRule === 'open';
    return {
      gamble: race.gamble,
      usual: at({ ...question, style: 'legLift' }),
      slideStep: hasStyles ? at({ ...question, style: 'slideStep' }) : null,
      pitchOut: at(question, 'pitchout'),
      goes: race.steal.verdict === 'stay' ? THEY_GO / 4 : THEY_GO,
    };
  }

  const holds = times
    .readingsOf(pitcher.id)
    .flatMap(({ kind, asideReason, seconds }) =>
      kind === 'hold' && asideReason === null ? [seconds] : [],
    )
    .toReversed();
  function knownOf(): Known {
    const pops = times.readingsOf(catcher.id).filter(({ kind }) => kind === 'pop');
    const newest = pops[0]?.takenAt;
    const deliveries = times.readingsOf(pitcher.id).filter(({ kind }) => kind === 'delivery');
    const verdictAt = (base: string): Known['stealSecond'] =>
      steals.find((each) => each.base === base)?.steal.verdict ?? 'none';
    const { legs } = race?.steal ?? {};
    const lastSign = now.events.findLast(({ kind }) => kind === 'sign');
    return {
      ...NOTHING_KNOWN,
      lefty: pitcher.throws === 'left',
      sumKnown: legs?.pitch?.basis === 'timed' && legs.pop?.basis === 'timed',
      holdIsEven: rhythmOf(holds)?.verdict === 'even',
      stealSecond: verdictAt('second'),
      stealThird: verdictAt('third'),
      deliveryTimed: deliveries.length,
      slideStepsSeen: deliveries.filter((each) => each.style === 'slideStep').length,
      popIsOld: newest === undefined || Date.parse(newest) < nowMs - OLD_POP_DAYS * MS_PER_DAY,
      walkPays: plays().some(({ play, worth }) => play === 'walkOnPurpose' && worth > 0),
      missedSign: lastSign?.kind === 'sign' && lastSign.seen === false,
      nearThrowLimit: isNearLimit(),
    };
  }
  function isNearLimit(): boolean {
    const limit = team.throwLimits.pitcher;
    const own =
      weBat || situation.pitcher === null ? 0 : (situation.pitches[situation.pitcher] ?? 0);
    return limit !== null && own >= limit - 5;
  }

  const said = onceAsked(() => saidNow(reminders.rules));
  function saidNow(rules: readonly Reminder[]): readonly Said[] {
    if (!state || isOver) return [];
    const pitch = now.events.filter(({ kind }) => kind === 'pitch').length;
    const kept = heardIn.get(game.game.id) ?? { pitch: -1, before: {}, now: {} };
    const before = kept.pitch === pitch ? kept.before : kept.now;
    const facts = factsOf(state, ours, team.level, knownOf());
    const swing = stake ? Math.max(0, stake.safe - stake.out) : null;
    const chosen = choose(rules, facts, { memory: before, pitch, stake: swing });
    heardIn.set(game.game.id, { pitch, before, now: chosen.memory });
    return chosen.said;
  }

  const { pitch: pitchLeg, pop: popLeg } = race?.steal.legs ?? {};
  const figures = {
    sum:
      pitchLeg && popLeg ? sumAloud(pitchLeg.spread.meanSeconds + popLeg.spread.meanSeconds) : '',
    outs: outsWords(situation.outs),
    hold: (rhythmOf(holds)?.counts ?? []).slice(-3).join(', '),
  };
  const line = onceAsked(lineOf);
  function lineOf(): string {
    const parts = [
      ...(figures.sum === '' ? [] : [figures.sum]),
      figures.outs,
      ...said()
        .filter(({ reminder: { to, id } }) => to.startsWith('runner') && !/outs|sum/.test(id))
        .slice(0, 1)
        .map(({ reminder }) => filled(reminder.say, figures).replace(/\.$/, '')),
    ];
    return `${parts.join('. ')}.`;
  }

  return {
    situation,
    offered,
    race,
    steals,
    needed: race ? needed(race.gamble) : team.neededChance,
    stake,
    isTie: stake !== null && Math.max(stake.safe - stake.hold, stake.hold - stake.out) < NO_STAKE,
    odds,
    value,
    chanceToWin: weBat ? value(bases, outs, 0, 0) : 1 - value(bases, outs, 0, 0),
    pitcher,
    catcher,
    batter,
    style,
    setStyle: (next) => {
      pick({ style: next });
    },
    figures,
    buntsByPeople: known.bunt !== null || known.squeeze !== null,
    isReady: !times.isLoading && !leads.isLoading,
    get plays() {
      return plays();
    },
    get said() {
      return said();
    },
    get line() {
      return line();
    },
    get decoy() {
      return decoyFor(line());
    },
    get safeLeadFeet() {
      return safeLead();
    },
  };

  function safeLead(): number | null {
    const runner = game.person(situation.bases.first);
    if (!runner || !weBat || team.ruleset.leadRule !== 'open') return null;
    const context = { ...plainContext('pick'), base: 'first' as const };
    const move = expectedTime(pitcher, times.of(pitcher), context, times.field);
    if (!move) return null;
    return longestLead(
      {
        stance: {
          leadFeet: runner.leadFeet ?? leads.usualLeadFeet,
          corner: 'back',
          mode: 'twoWay',
          awaySpeed: 0,
        },
        level: times.field.level,
        throwing: spreadOfEstimate(move),
        leftHander: pitcher.throws === 'left',
        own: leads.returnOf(runner),
      },
      LEAD_RISK,
    );
  }
}

/** The chance of a steal on the usual pitches, or on a pitch-out. @param needed 0..1 */
export function chanceAgainst(question: StealQuestion, needed: number, pitch?: 'pitchout'): number {
  const pitches = pitchesFor(pitch ? { pitch } : { count: null });
  return judgeSteal(question, { needed, pitches }).chance;
}

/** Worked out when it is first asked for, then kept. */
function onceAsked<T>(work: () => T): () => T {
  let kept: { value: T } | null = null;
  return () => (kept ??= { value: work() }).value;
}

/** The same object as long as it says the same. */
function useSame<T>(value: T): T {
  const text = JSON.stringify(value);
  return useMemo(() => JSON.parse(text) as T, [text]);
}

/** Who of ours leads off the next time, while they bat. */
function nextOf({ now, ours }: GameInHand): PersonId {
  const team = now.reading.state?.teams[ours];
  return team?.order[team.next]?.id ?? ('' as PersonId);
}

/** A reminder with the figures of the moment in it. */
export function filled(say: string, { sum, outs, hold }: Desk['figures']): string {
  return say.replace('{sum}', sum).replace('{outs}', outs).replace('{hold}', hold);
}

const DECOYS = [
  'One more look. Good lead. You’re all right.',
  'Know where they are. Stay with it. Have fun out there.',
  'Same as before. Eyes up. Nice and easy.',
];

/** A line as long as the one that tells something. */
function decoyFor(line: string): string {
  const length = line.split(' ').length;
  const [best = ''] = DECOYS.toSorted(
    (a, b) => Math.abs(a.split(' ').length - length) - Math.abs(b.split(' ').length - length),
  );
  return best;
}
