import type { DeviceSeen } from '@bradyon/contract/games';
import type { Place } from '@bradyon/core/games';
import type { GameId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { request } from '../../api/index.ts';
import { deviceId } from './device.ts';
import { liveGame } from './liveGame.ts';
import { keptEntries } from './writes.ts';

const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 20_000;
/** A device says so often that it is still there. */
const HERE_MS = 15_000;
/** So many fetches for one word that there is more: what still lacks then comes with the next word. */
const MOST_FETCHES = 4;

/**
 * Follows a game as others tell it: told by the server that there is more, it asks for what is new. A stream
 * that ends is begun again, and then everything that was missed is asked for.
 * @returns whether the stream is open
 */
export function useFollow(teamId: TeamId, gameId: GameId): boolean {
  const [isLive, setLive] = useState(false);
  useEffect(() => {
    let source: EventSource | null = null;
    let retry: ReturnType<typeof setTimeout> | undefined;
    let retryMs = FIRST_RETRY_MS;
    let hasEnded = false;

    const catchUp = async (lastSeq: number | null): Promise<void> => {
      const list = keptEntries(teamId, gameId);
      for (let fetched = 0; fetched < MOST_FETCHES; fetched += 1) {
        const known = liveGame(teamId, gameId).getState().lastSeq;
        if (lastSeq !== null && known >= lastSeq) return;
        await list.sync().catch(() => undefined);
        if (lastSeq === null) return;
      }
    };
    const open = (): void => {
      source = new EventSource(`/api/teams/${teamId}/games/${gameId}/stream`);
      source.onopen = () => {
        retryMs = FIRST_RETRY_MS;
        setLive(true);
        // What came between the server's look at the game and its listening is told by nobody. One question may be on
        // its way from before: the second begins after.
        void catchUp(null).then(() => catchUp(null));
      };
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const { lastSeq } = JSON.parse(data) as { lastSeq: number | null };
        void catchUp(lastSeq);
      };
      source.onerror = () => {
        setLive(false);
        // A browser tries again by itself only where the server was reached before.
        if (source?.readyState !== EventSource.CLOSED || hasEnded) return;
        retry = setTimeout(open, retryMs);
        retryMs = Math.min(LONGEST_RETRY_MS, retryMs * 2);
      };
    };
    open();
    return () => {
      hasEnded = true;
      clearTimeout(retry);
      source?.close();
    };
  }, [teamId, gameId]);
  return isLive;
}

/** Says where this device is, and hears where the others are. */
export function useDevices(teamId: TeamId, gameId: GameId, place: Place): DeviceSeen[] {
  const { data } = useQuery({
    queryKey: ['game-devices', teamId, gameId, place],
    queryFn: () =>
      request<DeviceSeen[]>('POST', `/api/teams/${teamId}/games/${gameId}/devices`, {
        device: deviceId(),
        place,
        lastSeq: liveGame(teamId, gameId).getState().lastSeq,
      }),
    refetchInterval: HERE_MS,
    retry: false,
    meta: { onlyHere: true },
  });
  return data ?? [];
}
