import { breakEvenOf, baseOut, CAUTION, type Gamble, type Needed } from '@bradyon/core/innings';
import type { StealBase } from '@bradyon/core/steals';
import { useTeam } from '../teams/index.ts';
import { isTie } from './gambles.ts';
import { valueOf } from './game.ts';
import type { Situation } from './situation.ts';
import { situationWords } from './situationWords.ts';
import { useOdds } from './useOdds.ts';

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
  /** By the situation so little is at stake that the inputs are not good enough to tell. */
  isTie: boolean;
  /** False while the situation's figure of this lineup is being worked out: `needed` is then another's. */
  isCurrent: boolean;
  /** Why it is not coming. */
  error: Error | null;
  retry: () => void;
  setFrom: (from: Situation['needs']) => void;
}

const MOST_ASKED = 0.98;

/**
 * The chance a steal needs: the team's rule, or what the situation says with whoever is up against
 * whom we face. A figure outside what can be asked for is put at the end of it.
 */
export function useNeeded(base: StealBase): NeededHere {
  const { neededChance } = useTeam();
  const { game, situation: stands, up, set, isCurrent, error, retry } = useOdds();
  // A steal is ours: while they bat it is asked for our next time up.
  const situation: Situation = { ...stands, batting: 'we' };
  const { gamble, from } = STEALS[base];
  const asked = (bases: number) =>
    breakEvenOf(gamble, baseOut(bases, situation.outs), valueOf(game, situation));
  // Where nobody is on the base he goes from, he is alone on it.
  const found = asked(situation.bases) ?? asked(from);
  const bySituation = situation.needs === 'situation';
  return {
    needed: bySituation ? askedFor(found?.needed ?? neededChance) : neededChance,
    from: situation.needs,
    words: up ? `${situationWords(situation)}, ${up.person.name} up` : situationWords(situation),
    isTie: bySituation && found !== null && isTie(found, situation.by),
    isCurrent: !bySituation || isCurrent,
    error: bySituation && !isCurrent ? error : null,
    retry,
    setFrom: (needs) => {
      set({ needs });
    },
  };
}

function askedFor(needed: Needed): number {
  if (typeof needed === 'number') return Math.min(MOST_ASKED, Math.max(CAUTION, needed));
  return needed === 'always' ? CAUTION : MOST_ASKED;
}
