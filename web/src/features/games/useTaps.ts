import type { Move, Telling } from '@bradyon/core/games';
import { liveGame } from './liveGame.ts';
import { callOf, openCall, resultOf } from './calls.ts';
import { usePlace } from './places.ts';
import type { Desk } from './useDesk.ts';
import type { GameInHand } from './useGame.ts';
import { useTeam } from '../teams/index.ts';

type Pitch = Omit<Extract<Telling, { kind: 'pitch' }>, 'kind' | 'style'>;

/** How runners went, and how the catcher threw. */
type Steal = Pick<Extract<Telling, { kind: 'steal' }>, 'style' | 'throw'>;

/** What a tap on the desk tells. Before each pitch the call is kept as it was known. */
export interface Taps {
  pitch: (pitch: Pitch) => void;
  tell: (telling: Telling) => void;
  steal: (runners: Move[], how: Steal, pitch: Pitch) => void;
}

/** Kinds that a call waits for: after one of them what came of it is known. */
const SETTLES: readonly string[] = ['pitch', 'steal', 'pick', 'balk', 'intentionalWalk'];

export function useTaps(desk: Desk, game: GameInHand): Taps {
  const team = useTeam();
  const gameId = game.game.id;
  const [place] = usePlace(gameId);
  const live = liveGame(team.id, gameId);
  const hasStyles = team.ruleset.leadRule === 'open';

  /** The call to keep before the next pitch; null: it is kept, or there is none. */
  const callToKeep = (): Telling | null => {
    const { events, situation } = live.getState().stands;
    const open = openCall(events);
    if (open !== null && open.slot === situation?.slot) return null;
    const call = callOf(desk, game, place, gameId, team.levelChanges);
    return call && { kind: 'advice', plays: call, taken: null };
  };
  const keepResult = (): void => {
    const { events, situation } = live.getState().stands;
    const open = openCall(events);
    if (open && situation)
      game.tell(
        { kind: 'advice', plays: null, taken: resultOf(open, events, situation) },
        // At the pitch it is about: told behind it, it would hold the place of a pitch that is undone.
        { quiet: true, slot: open.slot },
      );
  };
  const tell = (telling: Telling): void => {
    const settles = SETTLES.includes(telling.kind);
    const keeps = settles && telling.kind !== 'steal';
    game.tell(telling, { first: keeps ? callToKeep() : null });
    const goes = telling.kind === 'pitch' && (telling.going ?? []).length > 0;
    // With a runner going, the steal that follows says how it ended.
    if (settles && !goes) keepResult();
  };
  return {
    tell,
    pitch: (pitch) => {
      tell({ kind: 'pitch', ...pitch, ...(hasStyles && { style: desk.style }) });
    },
    steal: (runners, how, pitch) => {
      const going = runners.flatMap(({ to, out }) => to ?? out ?? []);
      tell({ kind: 'pitch', ...pitch, going, ...(hasStyles && { style: desk.style }) });
      tell({ kind: 'steal', ...how, runners });
    },
  };
}
