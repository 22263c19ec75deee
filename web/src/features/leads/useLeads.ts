import { type Spread } from '@bradyon/core/maths';
import { ownReturn, type KnownReturn } from '@bradyon/core/leads';
import type { Person } from '@bradyon/core/people';
import { commonLeadFeet, expectedTime } from '@bradyon/core/sprint';
import { plainContext, type Estimate, type ReadingContext } from '@bradyon/core/timing';
import { usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';
import { useDives } from './useDives.ts';

/** What the Leads screens know of whoever is out there. */
export function useLeads() {
  const team = useTeam();
  const people = usePeople(team.id);
  const times = useTimes(team);
  const dives = useDives(team.id);
  const { onField } = usePlaying(team.id);

  const expected = (person: Person, context: ReadingContext): Estimate | null =>
    expectedTime(person, times.of(person), context, times.field);
  const error = people.error ?? times.error ?? dives.error;
  return {
    team,
    times,
    dives,
    onField,
    usualLeadFeet: commonLeadFeet({ kind: 'steal', base: 'second' }, team.ruleset) ?? 0,
    /** How a runner gets back, by his timed and his test dives. */
    returnOf: (runner: Person): KnownReturn =>
      ownReturn(runner, times.of(runner), dives.of(runner.id), times.field),
    /** A pitcher's move to a base, as far as it is known. */
    moveOf: (pitcher: Person, base: 'first' | 'second' | 'third'): Estimate | null =>
      expected(pitcher, { ...plainContext('pick'), base }),
    deliveryOf: (pitcher: Person): Estimate | null =>
      expected(pitcher, { ...plainContext('delivery'), style: 'legLift' }),
    popOf: (catcher: Person, base: 'second' | 'third'): Estimate | null =>
      expected(catcher, { ...plainContext('pop'), base }),
    isLoading: people.isLoading || times.isLoading || dives.isLoading,
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
