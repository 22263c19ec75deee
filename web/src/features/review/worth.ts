import { sideAtBat, situationOf, type GameState, type Side } from '@bradyon/core/games';
import type { LineupOdds } from '../innings/index.ts';

/** What a standing of a game is worth to us, in chance to win: always by the same tables. */
export function worthOf(state: GameState, ours: Side, valueAt: LineupOdds['valueAt']): number {
  const lead = state.runs[ours] - state.runs[ours === 'home' ? 'away' : 'home'];
  if (state.over) return lead === 0 ? 0.5 : lead > 0 ? 1 : 0;
  const now = situationOf(state);
  if (!now.open) return 0.5;
  const weBat = sideAtBat(state.half) === ours;
  const order = now.order[ours];
  const next = state.teams[ours].order[state.teams[ours].next]?.id;
  const up = weBat ? now.batter : next;
  const bases =
    (state.bases[1] === null ? 0 : 1) +
    (state.bases[2] === null ? 0 : 2) +
    (state.bases[3] === null ? 0 : 4);
  const value = valueAt({
    bases,
    outs: Math.min(2, state.outs),
    inning: state.inning,
    half: ours === 'away' ? 'top' : 'bottom',
    batting: weBat ? 'we' : 'they',
    spot: Math.max(0, up === undefined ? 0 : order.indexOf(up)),
    lead,
  });
  const chance = value(bases, Math.min(2, state.outs), 0, 0);
  return weBat ? chance : 1 - chance;
}
