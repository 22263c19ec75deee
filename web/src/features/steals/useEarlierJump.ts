import type { Team } from '@bradyon/contract/teams';
import { chanceByJump } from '@bradyon/core/drills';
import type { Person } from '@bradyon/core/people';
import { judgeSteal, questionOf, raceOf } from '@bradyon/core/steals';
import { useNeeded } from '../innings/index.ts';
import { orTypical, usePlaying } from '../people/index.ts';
import { useTimes } from '../timing/index.ts';
import { NOTHING_SUPPOSED } from './stealStore.ts';
import { judgingOf, kindIn } from './useSteal.ts';

/**
 * What an earlier jump makes of a runner's steal of second: chances 0..1; null where nobody steals it that way.
 * @param pitcher null: whoever is faced, or a typical one
 */
export function useEarlierJump(
  team: Team,
  runner: Person,
  pitcher: Person | null,
): (earlierSeconds: number) => { before: number; after: number; gain: number } | null {
  const times = useTimes(team);
  const { onField, playing } = usePlaying(team.id);
  const { needed } = useNeeded('second');
  const kind = kindIn(null, team.ruleset, 'second');
  return (earlierSeconds) => {
    if (kind === null) return null;
    const judging = judgingOf(needed, NOTHING_SUPPOSED);
    const question = questionOf(
      times,
      {
        pitcher: pitcher ?? orTypical(onField.pitcher, 'pitcher'),
        catcher: orTypical(onField.catcher, 'catcher'),
        runner,
      },
      { base: 'second', kind, style: playing.style, batter: null, leadFeet: runner.leadFeet },
    );
    const { legs } = judgeSteal(question, judging);
    // Without a jump, or with a surprise in its place, there is nothing to be earlier with.
    if (legs.jump === null || legs.surprise !== null) return null;
    return chanceByJump(raceOf(legs, times.field.level, judging.pitches), earlierSeconds);
  };
}
