import { BUNT_LANES, type BuntLane, type BuntTry } from '../bunts/index.ts';
import type { BattingTotals } from '../innings/index.ts';
import type { PersonId } from '../units/index.ts';
import { countsOf } from './counts.ts';
import { recordsOf } from './records.ts';
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

/** Bunts of a game by who bunted, as practice counts them. Nobody tells in a game where he aimed, or how hard. */
export function buntsOf(state: GameState | null): { personId: PersonId; bunt: BuntTry }[] {
  return recordsOf(state).flatMap(({ event, batter }) => {
    if (event.kind !== 'pitch') return [];
    const { ball, result } = event;
    const inPlay = result === 'inPlay' && ball?.contact === 'bunt';
    if (!inPlay && result !== 'foulBunt' && event.bunt === undefined) return [];
    const style = event.bunt === 'hit' ? 'drag' : 'square';
    const common = { aimed: null, calledPace: null, pace: null, height: null, style } as const;
    const made = (came: Pick<BuntTry, 'result' | 'lane'>) => [
      { personId: batter, bunt: { ...common, ...came } },
    ];
    if (inPlay) {
      const popped = ball.result === 'caught' || ball.result === 'infieldFly';
      return made({ result: popped ? 'popped' : 'fair', lane: laneOf(ball) });
    }
    if (result === 'swinging') return made({ result: 'missed', lane: null });
    return result === 'foul' || result === 'foulBunt' ? made({ result: 'foul', lane: null }) : [];
  });
}

const ZONES: Partial<Record<string, BuntLane>> = {
  thirdSide: 'third',
  middle: 'middle',
  firstSide: 'first',
};

function laneOf({ at, zone }: { at?: { x: number; y: number }; zone?: string }): BuntLane {
  if (!at) return ZONES[zone ?? ''] ?? 'middle';
  const degrees = (Math.atan2(at.y, at.x) * 180) / Math.PI;
  const place = Math.floor((90 - degrees) / (90 / BUNT_LANES.length));
  return BUNT_LANES[Math.min(BUNT_LANES.length - 1, Math.max(0, place))] ?? 'middle';
}
