import type { BattingTotals } from '../innings/index.ts';
import type { PersonId } from '../units/index.ts';
import { countsOf } from './counts.ts';
import type { GameState } from './state.ts';

/** What batters did in a game, as a season adds it up. Sacrifices count apart: nobody knows who failed at one. */
export function battingOf(state: GameState | null): Map<PersonId, BattingTotals> {
  const totals = new Map<PersonId, BattingTotals>();
  const counts = countsOf(state);
  for (const side of ['away', 'home'] as const) {
    for (const [id, outcomes] of Object.entries(counts[side].batters)) {
      const of = (outcome: keyof typeof outcomes): number => outcomes[outcome] ?? 0;
      const [doubles, triples, homeRuns] = [of('double'), of('triple'), of('homeRun')];
      const hits = of('single') + doubles + triples + homeRuns;
      const outs = of('groundOut') + of('flyOut') + of('popLineOut');
      const reachedOnError = of('reachOnError');
      const [walks, strikeouts] = [of('walk'), of('strikeout')];
      totals.set(id as PersonId, {
        plateAppearances: hits + outs + reachedOnError + walks + strikeouts,
        hits,
        doubles,
        triples,
        homeRuns,
        walks,
        strikeouts,
        reachedOnError,
        buntTries: 0,
        buntsGood: 0,
      });
    }
  }
  return totals;
}
