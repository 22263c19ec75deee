import type { Side, Situation } from '@bradyon/core/games';
import { inningWords } from './situationWords.ts';

/** "Won 6–4", "Top 5, down 2–3", "To play". */
export function standsWords(situation: Situation | null, ours: Side): string {
  if (!situation) return 'To play';
  const { runs, over, slot, line } = situation;
  const [us, them] = ours === 'home' ? [runs.home, runs.away] : [runs.away, runs.home];
  const score = `${String(us)}–${String(them)}`;
  if (over) {
    if (over.winner === null) return `Tied ${score}`;
    return `${over.winner === ours ? 'Won' : 'Lost'} ${score}`;
  }
  if (slot === 'T1.1.1' && line.away.length <= 1 && us + them === 0) return 'To play, lineups set';
  const how = us === them ? 'tied' : us > them ? 'up' : 'down';
  return `${inningWords(situation)}, ${how} ${score}`;
}
