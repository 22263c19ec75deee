import type { EntryDraft, Game } from '@bradyon/contract/games';
import type { Person } from '@bradyon/core/people';
import {
  REASONS,
  otherSide,
  sideAtBat,
  slotToTell,
  type GameEvent,
  type Side,
  type Situation,
  type Telling,
} from '@bradyon/core/games';
import type { GameEntryId, GameId, PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { newId, queryClient, request } from '../../api/index.ts';
import { notify } from '../../ui/index.ts';
import { lastName, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { doWhatIsDue } from './afterwards.ts';
import { deviceId } from './device.ts';
import { liveGame, type GameStands } from './liveGame.ts';
import { placeOf } from './places.ts';
import { entryWrite, gameWrite, keptEntries } from './writes.ts';

const NONE: Game[] = [];

/** The games of a team, those that wait to be saved too, the newest first. */
export function useGames(teamId: TeamId) {
  const { data, error, refetch } = useQuery({
    queryKey: ['games', teamId],
    queryFn: () => request<Game[]>('GET', `/api/teams/${teamId}/games`),
  });
  const waiting = gameWrite.useWaiting(teamId);
  const games = useMemo(() => {
    const kept = data ?? NONE;
    const fresh = waiting.filter((draft) => !kept.some(({ id }) => id === draft.id));
    return [...kept, ...fresh.map((draft) => ({ ...draft, lastSeq: 0 }))].toSorted((a, b) =>
      a.startsAt < b.startsAt ? 1 : -1,
    );
  }, [data, waiting]);
  return {
    games,
    isLoading: data === undefined && error === null && waiting.length === 0,
    error: data === undefined && waiting.length === 0 ? error : null,
    retry: () => void refetch(),
  };
}

/** A game's entries, fetched by what is new of them. */
export function useGameNow(teamId: TeamId, gameId: GameId) {
  const list = keptEntries(teamId, gameId);
  const now = useStore(liveGame(teamId, gameId), ({ shown }) => shown);
  const { data, error, failureCount, fetchStatus, refetch } = useQuery({
    queryKey: ['game-entries', teamId, gameId],
    // Only how far it has come: the entries are in the list.
    queryFn: () => list.sync(),
    meta: { onlyHere: true },
  });
  const isComplete = useStore(
    list.state as never,
    (state: { isComplete: boolean }) => state.isComplete,
  );
  // What this device kept may be behind: a tap before the first answer would go to a pitch long thrown. With
  // no network, or after a first failure, what is kept has to do; a desk that shows is never taken away again.
  const isAsking = data === undefined && failureCount === 0 && fetchStatus === 'fetching';
  const [shown, setShown] = useState<GameId | null>(null);
  if (!isAsking && shown !== gameId) setShown(gameId);
  return {
    now,
    isLoading:
      (isAsking && shown !== gameId) || (!isComplete && error === null && now.events.length === 0),
    error: isComplete || now.events.length > 0 ? null : error,
    retry: () => void refetch(),
  };
}

/** How something is told. */
interface HowTold {
  /** Where it is put, if not where the game stands. */
  slot?: string;
  /** Nobody is told when it does not count. */
  quiet?: boolean;
  /** Told just before it, in the same breath; null: nothing is. */
  first?: () => Telling | null;
}

/** Tells something of a game: on this device at once, and to the server when it can be reached. */
export function tellGame(
  teamId: TeamId,
  gameId: GameId,
  telling: Telling,
  { slot, quiet = false, first = () => null }: HowTold = {},
): GameEntryId {
  doWhatIsDue();
  const before = first();
  const store = liveGame(teamId, gameId);
  const { events, situation } = store.getState().stands;
  const stands = slot ?? situation?.slot ?? 'T1.1.1';
  const entryOf = (each: Telling): EntryDraft => {
    const { kind, ...told } = each;
    return {
      id: newId<GameEntryId>(),
      device: deviceId(),
      place: placeOf(gameId),
      at: new Date().toISOString(),
      slot: slotToTell(events, stands, each),
      kind,
      told,
    };
  };
  const entry = entryOf(telling);
  const entries = before ? [entryOf(before), entry] : [entry];
  entryWrite.send(teamId, ...entries.map((each) => ({ gameId, entry: each })));
  const flag = store.getState().stands.reading.flagged.find(({ id }) => id === entry.id);
  if (flag && !quiet) {
    notify(`Not counted. ${REASONS[flag.code]}`, () => {
      tellGame(teamId, gameId, { kind: 'undo', event: entry.id });
    });
  }
  return entry.id;
}

/** Things that an undo passes by: they stand for no tap of the game. */
const NOT_UNDONE: readonly string[] = ['undo', 'settle', 'advice', 'reading', 'opened'];

/** The last thing this device told that still stands; null: nothing to take back. */
export function lastOwn(events: readonly GameEvent[], device: string): GameEvent | null {
  const undone = new Set<string>();
  for (const event of events.toReversed()) {
    if (undone.has(event.id)) continue;
    if (event.kind === 'undo') {
      undone.add(event.event);
      continue;
    }
    if (event.device === device && !NOT_UNDONE.includes(event.kind)) return event;
  }
  return null;
}

/** A game as the desk has it in hand: where it stands, who is in it, and the way to tell more. */
export interface GameInHand {
  game: Game;
  now: GameStands;
  situation: Situation;
  ours: Side;
  theirs: Side;
  weBat: boolean;
  /** Somebody of the game, by id; a stranger where the roster has lost them. */
  person: (id: PersonId | null | undefined) => Person | null;
  /** "Okafor"; the number where only that is known; a dash for nobody. */
  name: (id: PersonId | null | undefined) => string;
  people: readonly Person[];
  opponentName: string;
  tell: (telling: Telling, how?: HowTold) => GameEntryId;
  undoLast: () => void;
  undo: (id: string) => void;
}

export const GameOpen = createContext<GameInHand | null>(null);

export function useGame(): GameInHand {
  const game = useContext(GameOpen);
  if (!game) throw new Error('useGame is for pages of an open game');
  return game;
}

/** What the pages of one game share; null while it is not there or not open. */
export function useGameInHand(game: Game | undefined, now: GameStands | null): GameInHand | null {
  const team = useTeam();
  const { people, opponents } = usePeople(team.id);
  const person = useMemo((): GameInHand['person'] => {
    const byId = new Map(people.map((each) => [each.id, each]));
    return (id) => (id ? (byId.get(id) ?? null) : null);
  }, [people]);
  return useMemo(() => {
    const state = now?.reading.state;
    const situation = now?.situation;
    if (!game || !now || !state || !situation) return null;
    const { ours } = state;
    const tell: GameInHand['tell'] = (telling, how) => tellGame(team.id, game.id, telling, how);
    const undo: GameInHand['undo'] = (id) => {
      const own = tell({ kind: 'undo', event: id }, { quiet: true });
      notify('Undone', () => {
        tell({ kind: 'undo', event: own }, { quiet: true });
      });
    };
    return {
      game,
      now,
      situation,
      ours,
      theirs: otherSide(ours),
      weBat: sideAtBat(situation.half) === ours,
      people,
      person,
      name: (id) => {
        const found = person(id);
        if (found) return lastName(found);
        return id ? 'somebody' : '–';
      },
      opponentName: opponents.find(({ id }) => id === game.opponentId)?.name ?? 'Opponent',
      tell,
      undo,
      undoLast: () => {
        // As it stands at the tap: two that come quickly take back two.
        const { events } = liveGame(team.id, game.id).getState().stands;
        const last = lastOwn(events, deviceId());
        if (last) undo(last.id);
        else notify('Nothing to undo on this device.');
      },
    };
  }, [game, now, person, people, opponents, team.id]);
}

/** After the stream said so, or the device was away. */
export function useCatchUp(teamId: TeamId, gameId: GameId): void {
  useEffect(() => {
    const again = (): void => {
      if (document.visibilityState === 'visible')
        void queryClient.invalidateQueries({ queryKey: ['game-entries', teamId, gameId] });
    };
    addEventListener('online', again);
    document.addEventListener('visibilitychange', again);
    return () => {
      removeEventListener('online', again);
      document.removeEventListener('visibilitychange', again);
    };
  }, [teamId, gameId]);
}
