import { pitchesFor } from '@bradyon/core/race';
import type { Person } from '@bradyon/core/people';
import type { Conditions } from '@bradyon/core/sprint';
import {
  coverOnDelayed,
  judgeSteal,
  legsOf,
  stealKinds,
  questionOf,
  type Judging,
  type Leg,
  type LegName,
  type Legs,
  type Steal,
  type StealBase,
  type StealKind,
  type StealQuestion,
  type SupposedTimes,
} from '@bradyon/core/steals';
import { secondsPerFoot } from '@bradyon/core/sprint';
import { plainContext, type ReadingContext } from '@bradyon/core/timing';
import { notify } from '../../ui/index.ts';
import { useNeeded } from '../innings/index.ts';
import { orTypical, standsInFor, usePeople, usePlaying, type RaceRole } from '../people/index.ts';
import { useSupposedTimes, type WhatIfTime } from '../suppose/index.ts';
import { useSaveTeam, useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';
import { leadOf, useSupposed, type Supposed } from './stealStore.ts';

/** How steals are judged here and now. */
export function judgingOf(needed: number, { pitch, count, coverFeet }: Supposed): Judging {
  return {
    needed,
    pitches: pitchesFor(pitch === null ? { count } : { pitch }),
    ...(coverFeet !== null && { cover: coverOnDelayed(coverFeet) }),
  };
}

/** The kind that was chosen as long as the rules and the base have it. */
export function kindIn(
  chosen: StealKind | null,
  ruleset: Conditions['ruleset'],
  base: StealBase,
): StealKind | null {
  const kinds = stealKinds(ruleset, base);
  return kinds.find((kind) => kind === chosen) ?? kinds[0] ?? null;
}

export type StealInView = ReturnType<typeof useSteal>;

/** A run typed for one lead, from another. */
function moved(context: ReadingContext, fromFeet: number | null, field: Conditions): number {
  if (fromFeet === null || context.leadFeet === null) return 0;
  return (fromFeet - context.leadFeet) * secondsPerFoot(context, field);
}

/** A time of the race that can be supposed. */
interface RaceTime extends WhatIfTime {
  part: keyof SupposedTimes;
}

const PARTS: Partial<
  Record<LegName, { part: keyof SupposedTimes; role: RaceRole; label: string }>
> = {
  delivery: { part: 'pitch', role: 'pitcher', label: 'To plate' },
  flight: { part: 'pitch', role: 'pitcher', label: 'Pitch' },
  pop: { part: 'pop', role: 'catcher', label: 'Pop' },
  jump: { part: 'jump', role: 'runner', label: 'Leaves' },
  run: { part: 'run', role: 'runner', label: 'Run' },
};

/** What a leg is timed as; null: nobody times it. */
function contextOf(leg: Leg, { base, kind, style, field }: StealQuestion, { start }: Legs) {
  if (leg.name === 'delivery') return { ...plainContext('delivery'), style };
  if (leg.name === 'flight') return plainContext('flight');
  if (base === 'home') return null;
  if (leg.name === 'pop') return { ...plainContext('pop'), base };
  const isOpen = field.ruleset.leadRule === 'open';
  // A run from a rolling start is not what a steal is timed as.
  if (leg.name === 'run' && (kind === 'hop' || kind === 'delayed')) return null;
  if (leg.name === 'run')
    return { ...plainContext('steal'), base, leadFeet: isOpen ? start.leadFeet : null };
  return leg.name === 'jump' && !isOpen ? plainContext('leave') : null;
}

/** The times of a race that can be typed over, in the order in which they happen. */
function timesOf(
  question: StealQuestion,
  legs: Legs,
  names: Record<RaceRole, WhatIfTime['person']>,
): RaceTime[] {
  return [legs.pitch, legs.pop, legs.jump, legs.run].flatMap((leg): RaceTime[] => {
    const part = leg && PARTS[leg.name];
    const context: ReadingContext | null = leg && contextOf(leg, question, legs);
    if (!part || !context) return [];
    const person = names[part.role];
    return [
      { part: part.part, person, context, label: part.label, usualSeconds: leg.spread.meanSeconds },
    ];
  });
}

/** Who stands in is exactly typical: how far one player of the level is from another is no part of it. */
function typicalOf(
  { pitch, pop, jump, run }: Legs,
  names: Record<RaceRole, Person>,
): SupposedTimes {
  const supposed: SupposedTimes = {};
  for (const leg of [pitch, pop, jump, run]) {
    const part = leg && PARTS[leg.name];
    if (part && leg.spread.meanSdSeconds > 0 && standsInFor(names[part.role]))
      supposed[part.part] = leg.spread.meanSeconds;
  }
  return supposed;
}

/** Who only stands in is typical, not supposed by anybody. */
function markTypical(steal: Steal, isTyped: (leg: Leg) => boolean): Steal {
  const mark = <T extends Leg | null>(leg: T): T =>
    leg?.basis === 'supposed' && !isTyped(leg) ? { ...leg, basis: 'typical' } : leg;
  const { pitch, pop, jump, run } = steal.legs;
  return {
    ...steal,
    legs: { ...steal.legs, pitch: mark(pitch), pop: mark(pop), jump: mark(jump), run: mark(run) },
  };
}

/**
 * Everything the Steal screen shows, for whoever is out there. Where nobody is, a typical player
 * stands in.
 * @param supposing whether what is typed over counts: a figure beside measured ones never does
 */
export function useSteal({ supposing }: { supposing: boolean }) {
  const team = useTeam();
  const people = usePeople(team.id);
  const times = useTimes(team);
  const { playing, onField, pick } = usePlaying(team.id);
  const supposed = useSupposed();
  const typed = useSupposedTimes(team.id);
  const save = useSaveTeam();
  const { role, version: _version, ...draft } = team;
  const base: StealBase = supposed.toHome ? 'home' : playing.base;
  const kind = kindIn(supposed.kind, team.ruleset, base);
  const here = useNeeded(base);
  const names = {
    pitcher: orTypical(onField.pitcher, 'pitcher'),
    catcher: orTypical(onField.catcher, 'catcher'),
    runner: orTypical(onField.runner, 'runner'),
  };

  const asked = (() => {
    if (kind === null) return null;
    const leadFeet = leadOf(supposed, names.runner);
    const how = { base, kind, style: playing.style, batter: supposed.batter, leadFeet };
    const known = questionOf(times, names, how);
    const legs = legsOf(known);
    const whatIf = timesOf(known, legs, names);
    const inPlace = typicalOf(legs, names);
    const typedParts = new Set<keyof SupposedTimes>();
    for (const time of whatIf) {
      const { seconds, leadFeet: from } = typed.of(time);
      if (supposing && seconds !== undefined) {
        typedParts.add(time.part);
        inPlace[time.part] = seconds + moved(time.context, from, times.field);
      }
    }
    const question: StealQuestion = { ...known, supposed: inPlace };
    const judging = judgingOf(here.needed, supposed);
    const steal = markTypical(judgeSteal(question, judging), ({ name }) => {
      const part = PARTS[name]?.part;
      return part !== undefined && typedParts.has(part);
    });
    return { question, judging, names, steal, whatIf };
  })();

  return {
    view: asked,
    /** Whom a typical player stands in for. */
    standIns: Object.values(names).flatMap((person) => standsInFor(person) ?? []),
    base,
    kind,
    playing,
    onField,
    supposed,
    times,
    pick,
    needed: here.needed,
    here,
    rule: team.neededChance,
    mayChange: role === 'owner',
    setNeeded: (neededChance: number) => {
      save.mutate(
        { ...draft, neededChance },
        {
          onError: ({ message }) => {
            notify(`What a steal needs was not saved: ${message}`);
          },
        },
      );
    },
    isLoading: people.isLoading || times.isLoading || !here.isCurrent,
    error: people.error ?? times.error ?? here.error,
    retry: () => {
      people.retry();
      times.retry();
      here.retry();
    },
  };
}
