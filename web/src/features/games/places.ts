import type { Place } from '@bradyon/core/games';
import type { GameId } from '@bradyon/core/units';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** Where this device stands in each game; the bench until it takes another place. */
const usePlaces = create<{ byGame: Record<GameId, Place> }>()(
  persist(() => ({ byGame: {} as Record<GameId, Place> }), { name: 'bradyon-places' }),
);

export function placeOf(gameId: GameId): Place {
  return usePlaces.getState().byGame[gameId] ?? 'bench';
}

export function takePlace(gameId: GameId, place: Place): void {
  usePlaces.setState(({ byGame }) => ({ byGame: { ...byGame, [gameId]: place } }));
}

export function usePlace(gameId: GameId): [Place, (place: Place) => void] {
  const place = usePlaces(({ byGame }) => byGame[gameId] ?? 'bench');
  return [
    place,
    (next) => {
      takePlace(gameId, next);
    },
  ];
}

export const PLACE_WORDS: Record<Place, string> = {
  bench: 'Bench',
  third: 'Third base',
  first: 'First base',
  stands: 'Stands',
};
