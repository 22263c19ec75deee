import { alignmentOf, skillOf } from '@bradyon/core/bunts';
import { baseOut, tableOf, type Bases, type KnownBunt } from '@bradyon/core/innings';
import type { Hand, Person } from '@bradyon/core/people';
import type { Gait } from '@bradyon/core/sprint';
import { useQueries, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { averageValue, peopleOn, type Batter, type KnownByBatter } from '../innings/index.ts';
import { useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';
import { useSurface } from './buntStore.ts';
import type { AskedBunt } from './bunts.worker.ts';
import { inBuntWorker } from './heavy.ts';
import { buntFigures, KEPT } from './useBunt.ts';
import { useBunters } from './useBunters.ts';

const NOTHING: KnownBunt = { bunt: null, squeeze: null };

/** Who bunts, who is on, and against whom. */
interface BuntersHere {
  bases: Bases;
  outs: number;
  batter: Person | null;
  on: Partial<Record<1 | 2 | 3, Person>>;
  pitcherThrows: Hand;
}

/**
 * What has to be worked out to know what a bunt by these people comes to; null where somebody is not known, or
 * nobody may bunt.
 */
function useAsking(): (here: BuntersHere) => AskedBunt | null {
  const team = useTeam();
  const times = useTimes(team);
  // Whoever came in by the code of a game sees no records of players.
  const { skill } = useBunters(team.id, team.role !== 'guest');
  const { surface } = useSurface();
  return useCallback(
    ({ bases, outs, batter, on, pitcherThrows }) => {
      const { ruleset } = team;
      if (!ruleset.buntAllowed || times.isLoading || !batter || outs >= 2 || bases === 0) {
        return null;
      }
      const figures = buntFigures(team);
      const gaitOf = (person: Person): Gait => {
        const { topSpeed, accelerationSeconds } = times.runner(person).fit;
        return { topSpeed, accelerationSeconds };
      };
      const runners: AskedBunt['runners'] = {};
      for (const base of [1, 2, 3] as const) {
        if (!(bases & (1 << (base - 1)))) continue;
        const person = on[base];
        if (!person) return null;
        runners[base] = gaitOf(person);
      }
      const play = bases & 4 ? 'suicide' : 'sacrifice';
      return {
        play,
        bases,
        outs: outs as 0 | 1,
        strikes: 0,
        ruleset,
        figures,
        surface,
        alignment: alignmentOf(bases & 1 && !(bases & 2) ? 'holding' : 'in', ruleset),
        pitcherThrows,
        batter: gaitOf(batter),
        runners,
        skill: skill(batter.id, skillOf(figures, play)).skill,
        breakSeconds: ruleset.leadRule === 'open' ? -0.1 : figures.releaseSeconds,
        // Where to put it hardly depends on inning and score: by runs it is asked once for many.
        values: tableOf(averageValue(team)),
      };
    },
    [team, times, skill, surface],
  );
}

/** The query for one list of questions: nothing to do where none is asked. */
function outcomesOf(asked: (AskedBunt | null)[]) {
  return {
    queryKey: ['known bunts', JSON.stringify(asked)],
    queryFn: () => inBuntWorker((heavy) => heavy.outcomes(asked)),
    enabled: asked.some((each) => each !== null),
    ...KEPT,
  };
}

/**
 * What a sacrifice or a squeeze by these people comes to, in place of the level's shares; nothing until it is
 * worked out, or where somebody is not known, or nobody may bunt.
 */
export function useKnownBunt(here: BuntersHere): KnownBunt {
  const ask = useAsking();
  const { bases, outs, batter, on, pitcherThrows } = here;
  const asked = useMemo(
    () => ask({ bases, outs, batter, on, pitcherThrows }),
    [ask, bases, outs, batter, on, pitcherThrows],
  );
  const query = useMemo(() => outcomesOf([asked]), [asked]);
  const { data } = useQuery(query);
  return (asked && data?.[0]) ?? NOTHING;
}

/** What bunts come to with each batter of the order up, those before on base. */
export function useKnownBunts(order: readonly Batter[], pitcherThrows: Hand): KnownByBatter {
  const ask = useAsking();
  const questions = order.map(({ person: batter }, spot) => {
    const asked: (AskedBunt | null)[] = [];
    for (let bases = 1; bases <= 7; bases += 1) {
      for (const outs of [0, 1]) {
        const on = peopleOn(order, spot, bases);
        asked[baseOut(bases, outs)] = ask({ bases, outs, batter, on, pitcherThrows });
      }
    }
    return Array.from(asked, (each) => each ?? null);
  });
  const answers = useQueries({ queries: questions.map(outcomesOf) });
  // Where one did not come the seasons stand for all, as where nobody is known.
  const isBroken = answers.some(({ isError }) => isError);
  const asked = questions.filter((each) => each.some((question) => question !== null)).length;
  return {
    bySpot: isBroken ? [] : answers.map(({ data }) => data ?? []),
    done: isBroken ? 0 : answers.filter(({ isSuccess }) => isSuccess).length,
    of: isBroken ? 0 : asked,
  };
}
