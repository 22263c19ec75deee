import { pitchesFor } from '@bradyon/core/race';
import type { StealChances } from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import { judgeSteal, stealKinds, type StealBase, questionOf } from '@bradyon/core/steals';
import { usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';
import type { Batter } from './sides.ts';
import { chancesBySpot } from './stealChances.ts';

/**
 * How often whoever is on base is safe with each batter up, against the battery that is out there:
 * on first, and alone on second, stands the one who bats before him, ahead of him the one before that.
 * Of two who go together the defence picks the easier out.
 * Where a steal is not allowed nobody is ever safe. Null without a battery: then the level's figures stand.
 */
export function useStealChances(order: readonly Batter[]): StealChances[] | null {
  const team = useTeam();
  const times = useTimes(team);
  const { onField, playing } = usePlaying(team.id);
  const { pitcher, catcher } = onField;
  if (!pitcher || !catcher || order.length === 0 || times.isLoading) return null;
  const chance = (runner: Person, base: StealBase): number | null => {
    const kind = stealKinds(team.ruleset, base)[0];
    if (!kind) return null;
    const question = questionOf(
      times,
      { pitcher, catcher, runner },
      { base, kind, style: playing.style, leadFeet: runner.leadFeet, batter: null },
    );
    return judgeSteal(question, { pitches: pitchesFor({ count: null }), needed: team.neededChance })
      .chance;
  };
  const each = order.map(({ person }) => ({
    second: chance(person, 'second'),
    third: chance(person, 'third'),
  }));
  return chancesBySpot(each);
}
