import {
  OUTFIELD_SHADES,
  usualOutfieldSpot,
  type Outfielder,
  type OutfieldShade,
} from '@bradyon/core/bases';
import type { Place } from '@bradyon/core/units';
import { useOdds, valueOf } from '../innings/index.ts';
import { usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useBasesDraft } from './basesStore.ts';
import { useOutfield } from './useOutfield.ts';

export type BasesInView = ReturnType<typeof useBases>;

/** Everything that a screen about the bases asks: who runs, who throws, what it is worth. */
export function useBases() {
  const team = useTeam();
  const odds = useOdds();
  const { onField } = usePlaying(team.id);
  const draft = useBasesDraft();
  const { isLoading, error, retry, ...outfield } = useOutfield(team, onField.facing, draft.arm);
  // Our runners: while they bat it is asked for our next time up.
  const situation = { ...odds.situation, batting: 'we' as const };
  const spotOf = (position: Outfielder): Place =>
    draft.moved[position] ??
    usualOutfieldSpot(position, outfield.figures, shadeOf(odds.inGame?.outfield ?? null));
  return {
    ...outfield,
    team,
    odds,
    situation,
    draft,
    on: odds.on,
    spotOf,
    value: valueOf(odds.game, situation),
    isLoading: isLoading || odds.isLoading || !odds.isCurrent,
    error: odds.error ?? error,
    retry: () => {
      odds.retry();
      retry();
    },
  };
}

function shadeOf(told: string | null): OutfieldShade {
  return OUTFIELD_SHADES.find((shade) => shade === told) ?? 'straight';
}
