import type { Move, Telling } from '@bradyon/core/games';
import type { GameId, TeamId } from '@bradyon/core/units';
import { useEffect } from 'react';
import { useTeam } from '../teams/index.ts';
import { useAfterwards } from './afterwards.ts';
import { callOf, lacksItsResult, openCall, resultOf } from './calls.ts';
import { deviceId } from './device.ts';
import { liveGame } from './liveGame.ts';
import { usePlace } from './places.ts';
import type { Desk } from './useDesk.ts';
import { tellGame, type GameInHand } from './useGame.ts';

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

/** Tells what came of the call that waits for it, if one does. */
function tellResult(teamId: TeamId, gameId: GameId): void {
  const { events, situation } = liveGame(teamId, gameId).getState().stands;
  const open = openCall(events);
  if (!open || !situation) return;
  const taken = resultOf(open, events, situation);
  // At the pitch it is about: told behind it, it would hold the place of a pitch that is undone.
  const how = { quiet: true, slot: open.slot };
  tellGame(teamId, gameId, { kind: 'advice', plays: null, taken }, how);
}

export function useTaps(desk: Desk, game: GameInHand): Taps {
  const team = useTeam();
  const gameId = game.game.id;
  const [place] = usePlace(gameId);
  const live = liveGame(team.id, gameId);
  const afterwards = useAfterwards();
  const hasStyles = team.ruleset.leadRule === 'open';

  /** The call to keep before the next pitch; null: it is kept, or there is none. */
  const callToKeep = (): Telling | null => {
    const { events, situation } = live.getState().stands;
    const open = openCall(events);
    if (open !== null && open.slot === situation?.slot) return null;
    const call = callOf(desk, game, place, gameId, team.levelChanges);
    return call && { kind: 'advice', plays: call, taken: null };
  };
  useEffect(() => {
    if (lacksItsResult(liveGame(team.id, gameId).getState().stands, deviceId()))
      tellResult(team.id, gameId);
  }, [team.id, gameId]);
  const tell = (telling: Telling): void => {
    const settles = SETTLES.includes(telling.kind);
    const keeps = settles && telling.kind !== 'steal';
    game.tell(telling, keeps ? { first: callToKeep } : {});
    const goes = telling.kind === 'pitch' && (telling.going ?? []).length > 0;
    // With a runner going, the steal that follows says how it ended.
    if (settles && !goes)
      afterwards(() => {
        tellResult(team.id, gameId);
      });
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
