import { breakEvenOf, baseOut, CAUTION, type Gamble } from '@bradyon/core/innings';
import type { StealBase } from '@bradyon/core/steals';
import { useTeam } from '../teams/index.ts';
import { tablesOf, valueOf } from './odds.ts';
import { useSituation, type Situation } from './situation.ts';

const STEALS: Record<StealBase, { gamble: Gamble; from: number }> = {
  second: { gamble: 'stealSecond', from: 1 },
  third: { gamble: 'stealThird', from: 2 },
  home: { gamble: 'stealHome', from: 4 },
};

/** What a steal has to be good for here. */
export interface NeededHere {
  /** Chance, 0..1. */
  needed: number;
  from: Situation['needs'];
  /** "runner on first, nobody out, top 1, tied": where the situation's figure is from. */
  words: string;
  setFrom: (from: Situation['needs']) => void;
}

/**
 * The chance a steal needs: the team's rule, or what the situation says. A figure outside what can be
 * asked for is put at the end of it.
 */
export function useNeeded(base: StealBase): NeededHere {
  const team = useTeam();
  const { situation, set } = useSituation(team.id);
  const tables = tablesOf(team.id, team.level, team.ruleset);
  const { gamble, from } = STEALS[base];
  const asked = (bases: number) =>
    breakEvenOf(gamble, baseOut(bases, situation.outs), valueOf(tables, situation));
  // Where nobody is on the base he goes from, he is alone on it.
  const found = asked(situation.bases) ?? asked(from);
  const here = found?.needed ?? team.neededChance;
  const figure =
    typeof here === 'number'
      ? Math.min(0.98, Math.max(CAUTION, here))
      : here === 'always'
        ? CAUTION
        : 0.98;
  return {
    needed: situation.needs === 'situation' ? figure : team.neededChance,
    from: situation.needs,
    words: situationWords(situation),
    setFrom: (needs) => {
      set({ needs });
    },
  };
}

const ON = [
  'nobody on',
  'runner on first',
  'runner on second',
  'first and second',
  'runner on third',
  'first and third',
  'second and third',
  'bases loaded',
];
const OUT = ['nobody out', 'one out', 'two out'];

export function situationWords({ bases, outs, inning, half, lead, by }: Situation): string {
  const score = lead === 0 ? 'tied' : `${String(Math.abs(lead))} ${lead > 0 ? 'ahead' : 'behind'}`;
  const game = by === 'win' ? `, ${half} ${String(inning)}, ${score}` : ', by runs';
  return `${ON[bases] ?? ''}, ${OUT[outs] ?? ''}${game}`;
}
