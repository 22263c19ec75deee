import { type Spread } from '@bradyon/core/maths';
import { ownReturn, type KnownReturn } from '@bradyon/core/leads';
import type { Person } from '@bradyon/core/people';
import { commonLeadFeet, expectedTime } from '@bradyon/core/sprint';
import { plainContext, type Estimate, type ReadingContext } from '@bradyon/core/timing';
import { firstName, standsInFor, usePeople, usePlaying } from '../people/index.ts';
import { useSupposedTimes, type WhatIfTime } from '../suppose/index.ts';
import { useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';
import { useDives } from './useDives.ts';
import { useLeadLooks } from './useLeadLooks.ts';

const LEG_LIFT: ReadingContext = { ...plainContext('delivery'), style: 'legLift' };

/** Who is out there, a typical player for whoever is not chosen. */
export interface Out {
  runner: Person;
  pitcher: Person;
  catcher: Person;
}

/** What is expected of somebody's next time, and what that rests on. */
export interface Expected extends Estimate {
  basis: 'timed' | 'typical' | 'supposed';
}

/** What the mean is taken to be: no doubt about it, only how uneven that person is. */
function supposing(estimate: Estimate, meanSeconds: number): Expected {
  return {
    ...estimate,
    meanSeconds,
    mean80: [meanSeconds, meanSeconds],
    meanSdSeconds: 0,
    giveOrTakeSeconds: estimate.spreadSeconds,
    freedom: Number.POSITIVE_INFINITY,
    count: 0,
    basis: 'supposed',
  };
}

/**
 * What the Leads screens know of whoever is out there.
 * @param whatIf whether times that are typed over count: never on paper
 */
export function useLeads({ whatIf }: { whatIf: boolean }) {
  const team = useTeam();
  const people = usePeople(team.id);
  const times = useTimes(team);
  const dives = useDives(team.id);
  const looks = useLeadLooks();
  const { onField } = usePlaying(team.id);

  const supposed = useSupposedTimes(team.id);

  const known = (person: Person, context: ReadingContext): Estimate | null =>
    expectedTime(person, times.of(person), context, times.field);
  const expected = (person: Person, context: ReadingContext): Expected | null => {
    const estimate = known(person, context);
    if (!estimate) return null;
    const { seconds } = supposed.of({ person, context });
    if (whatIf && seconds !== undefined) return supposing(estimate, seconds);
    // A typical pitcher is typical: how far one of the level is from another is no part of it.
    if (standsInFor(person))
      return { ...supposing(estimate, estimate.meanSeconds), basis: 'typical' };
    return { ...estimate, basis: estimate.count > 0 ? 'timed' : 'typical' };
  };
  const moveContext = (base: 'first' | 'second' | 'third'): ReadingContext => ({
    ...plainContext('pick'),
    base,
  });
  const whatIfTime = (label: string, person: Person, context: ReadingContext): WhatIfTime[] => {
    const estimate = known(person, context);
    return estimate ? [{ label, person, context, usualSeconds: estimate.meanSeconds }] : [];
  };
  const error = people.error ?? times.error ?? dives.error;
  return {
    team,
    times,
    dives,
    looks,
    onField,
    usualLeadFeet: commonLeadFeet({ kind: 'steal', base: 'second' }, team.ruleset) ?? 0,
    /** How a runner gets back, by his timed and his test dives. */
    returnOf: (runner: Person): KnownReturn =>
      ownReturn(runner, times.of(runner), dives.of(runner.id), times.field),
    /** A pitcher's move to a base, as far as it is known. */
    moveOf: (pitcher: Person, base: 'first' | 'second' | 'third'): Expected | null =>
      expected(pitcher, moveContext(base)),
    deliveryOf: (pitcher: Person): Expected | null => expected(pitcher, LEG_LIFT),
    popOf: (catcher: Person, base: 'second' | 'third'): Expected | null =>
      expected(catcher, { ...plainContext('pop'), base }),
    /** When a runner leaves, where nobody leads off. */
    leaveOf: (runner: Person): Expected | null => expected(runner, plainContext('leave')),
    whatIfLeaving: (runner: Person): WhatIfTime[] =>
      whatIfTime(
        standsInFor(runner) ? 'Leaves' : `${firstName(runner)} leaves`,
        runner,
        plainContext('leave'),
      ),
    /** The times at a base that can be typed over. */
    whatIfAt: (base: 'first' | 'second' | 'third', { pitcher, catcher }: Out): WhatIfTime[] => [
      ...whatIfTime('Move', pitcher, moveContext(base)),
      ...(base === 'second' ? [] : whatIfTime('To plate', pitcher, LEG_LIFT)),
      ...(base === 'third'
        ? whatIfTime('Pop to third', catcher, { ...plainContext('pop'), base })
        : []),
    ],
    isLoading: people.isLoading || times.isLoading || dives.isLoading || looks.isLoading,
    error,
    retry: () => {
      people.retry();
      times.retry();
      dives.retry();
    },
  };
}

export type Leads = ReturnType<typeof useLeads>;

/** An estimate as a moment: when, give or take. */
export function spreadOfEstimate({ meanSeconds, giveOrTakeSeconds }: Estimate): Spread {
  return { meanSeconds, sdSeconds: giveOrTakeSeconds };
}
