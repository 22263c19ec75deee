import type { GrounderPlan } from '@bradyon/core/bases';
import { tableOf, type Value } from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { buntFigures } from '../bunts/index.ts';
import type { GroundersAsked } from './bases.worker.ts';
import { inBasesWorker } from './heavy.ts';
import type { BasesInView } from './useBases.ts';

/**
 * Going from third on a ball on the ground, against each depth of the infield, by these two players.
 * @param value what it is worth; it decides which out the defense takes
 */
export function useGrounders(
  { team, situation, figures, gaitOf }: BasesInView,
  {
    runner,
    batter,
    value,
    isAsked = true,
  }: {
    runner: Person | undefined;
    batter: Person | undefined;
    value: Value;
    isAsked?: boolean;
  },
): { plans: GrounderPlan[] | null; isOld: boolean; error: Error | null; retry: () => void } {
  const asked: GroundersAsked = {
    outs: situation.outs === 1 ? 1 : 0,
    ruleset: team.ruleset,
    figures,
    infield: buntFigures(team),
    runner: gaitOf(runner),
    batter: gaitOf(batter),
    values: tableOf(value),
  };
  const { data, error, isPlaceholderData, refetch } = useQuery({
    queryKey: ['grounders', JSON.stringify(asked)],
    queryFn: () => inBasesWorker((heavy) => heavy.grounders(asked)),
    enabled: isAsked && situation.outs < 2,
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    networkMode: 'always',
    structuralSharing: false,
    meta: { onlyHere: true },
  });
  return {
    plans: data ?? null,
    isOld: isPlaceholderData,
    error,
    retry: () => {
      void refetch();
    },
  };
}
