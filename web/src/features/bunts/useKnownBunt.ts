import { alignmentOf, skillOf } from '@bradyon/core/bunts';
import { tableOf, type Bases } from '@bradyon/core/innings';
import type { Hand, Person } from '@bradyon/core/people';
import type { Gait } from '@bradyon/core/sprint';
import { useQuery } from '@tanstack/react-query';
import { averageValue } from '../innings/index.ts';
import { useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';
import { useSurface } from './buntStore.ts';
import type { AskedBunt, KnownBunt } from './bunts.worker.ts';
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
 * What a sacrifice or a squeeze by these people comes to, in place of the level's shares; nothing until it is
 * worked out, or where somebody is not known, or nobody may bunt.
 */
export function useKnownBunt({ bases, outs, batter, on, pitcherThrows }: BuntersHere): KnownBunt {
  const team = useTeam();
  const times = useTimes(team);
  // Whoever came in by the code of a game sees no records of players.
  const bunters = useBunters(team.id, team.role !== 'guest');
  const { surface } = useSurface();
  const average = averageValue(team);
  const { ruleset } = team;
  const runners: AskedBunt['runners'] = {};
  for (const base of [1, 2, 3] as const) {
    const person = on[base];
    if (person && bases & (1 << (base - 1))) runners[base] = gaitOf(person);
  }
  function gaitOf(person: Person): Gait {
    const { topSpeed, accelerationSeconds } = times.runner(person).fit;
    return { topSpeed, accelerationSeconds };
  }
  const areKnown = [1, 2, 3].filter((base) => bases & (1 << (base - 1))).length;
  const isAsked =
    ruleset.buntAllowed &&
    batter !== null &&
    outs < 2 &&
    bases !== 0 &&
    Object.keys(runners).length === areKnown &&
    !times.isLoading;
  const play = bases & 4 ? 'suicide' : 'sacrifice';
  const figures = buntFigures(team);
  const usual = alignmentOf(bases & 1 && !(bases & 2) ? 'holding' : 'in', ruleset);
  const asked: AskedBunt | null = isAsked
    ? {
        play,
        bases,
        outs: outs as 0 | 1,
        strikes: 0,
        ruleset,
        figures,
        surface,
        alignment: usual,
        pitcherThrows,
        batter: gaitOf(batter),
        runners,
        skill: bunters.skill(batter.id, skillOf(figures, play)).skill,
        breakSeconds: ruleset.leadRule === 'open' ? -0.1 : figures.releaseSeconds,
        // Where to put it hardly depends on inning and score: by runs it is asked once for many.
        values: tableOf(average),
      }
    : null;
  const { data } = useQuery({
    queryKey: ['known bunt', JSON.stringify(asked)],
    queryFn: () => (asked ? inBuntWorker((heavy) => heavy.outcomes(asked)) : NOTHING),
    enabled: asked !== null,
    ...KEPT,
  });
  return (asked && data) ?? NOTHING;
}
