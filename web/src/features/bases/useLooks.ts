import type { FielderLookRecord, GameLook } from '@bradyon/contract/bases';
import type { FielderLook } from '@bradyon/core/bases';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { request } from '../../api/index.ts';
import { useLookTally } from './writes.ts';

const NO_LOOKS: GameLook[] = [];

/**
 * What was seen of the outfielders, by the staff and in games, what waits to be sent too.
 * @param isAsked false: for whoever may not see it
 */
export function useLooks(teamId: TeamId, isAsked = true) {
  const { rows: tapped, add, undo, isLoading, isMissing } = useLookTally(teamId, isAsked);
  const games = useQuery({
    queryKey: ['games-looks', teamId],
    queryFn: () => request<GameLook[]>('GET', `/api/teams/${teamId}/games/looks`),
    enabled: isAsked,
  });
  const inGames = games.data ?? NO_LOOKS;
  return {
    tapped,
    /** Everything that was seen of one outfielder. */
    of: (personId: PersonId): FielderLook[] =>
      [...inGames, ...tapped].filter((each) => each.personId === personId).map(({ look }) => look),
    add: (personId: PersonId, look: FielderLook): void => {
      add({ personId, look });
    },
    undo: (look: FielderLookRecord): void => {
      undo(look);
    },
    // A guess shown before what was seen is here would turn under the coach's eyes. Without a connection nothing is
    // on its way, and the usual habits stand: a send does not wait for them.
    isLoading: isLoading || games.isLoading,
    /** Something of what was seen could not be asked for. */
    isMissing: isMissing || games.data === undefined,
  };
}
