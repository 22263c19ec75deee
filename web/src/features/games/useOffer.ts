import { useEffect } from 'react';
import { offerGameSituation } from '../innings/index.ts';
import { usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import type { Desk } from './useDesk.ts';
import type { GameInHand } from './useGame.ts';

/**
 * The other screens know the game that is open on this device: Odds can take its situation, and Time, Steal
 * and Leads have the battery and the runner that are out there.
 */
export function useOffer(desk: Desk, game: GameInHand): void {
  const team = useTeam();
  const { pick } = usePlaying(team.id);
  const { situation, weBat } = game;
  const isOver = situation.over !== null;
  const stands = JSON.stringify(desk.offered);
  useEffect(() => {
    offerGameSituation(team.id, isOver ? null : (JSON.parse(stands) as Desk['offered']));
  }, [team.id, isOver, stands]);
  const { pitcher, catcher } = situation;
  const runner = desk.race?.runner.id ?? null;
  const facing = game.game.opponentId;
  const isOurs = weBat && !isOver;
  useEffect(() => {
    if (!isOurs || facing === null) return;
    pick({
      facing,
      pitcherId: pitcher,
      catcherId: catcher,
      ...(runner !== null && { runnerId: runner }),
    });
    // Only what the game says changes it; what was picked since stays until then.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isOurs, facing, pitcher, catcher, runner]);
}
