import type { GameId } from '@bradyon/core/units';
import type { Response } from 'express';
import pg from 'pg';
import type { Logger } from 'pino';

const CHANNEL = 'bradyon_games';
/** A line now and then, so that no proxy takes a quiet stream for a dead one. */
const HEARTBEAT_MS = 20_000;
const FIRST_RETRY_MS = 250;
const LONGEST_RETRY_MS = 10_000;

/** Tells the devices that follow a game when there is more of it, whichever server took it in. */
export interface Live {
  /** Keeps a reply open as a stream until its reader leaves. */
  follow: (gameId: GameId, lastSeq: number, res: Response) => void;
  /** Ends every stream, and the connection that listens. */
  end: () => Promise<void>;
}

/**
 * Listens on a connection of its own: it is lost by itself and comes back by itself, and then everybody
 * is told to ask what they missed. A stream says only how far a game has come; what there is is asked
 * for, by whoever may see it.
 */
export function makeLive(databaseUrl: string, logger: Logger): Live {
  const streams = new Map<GameId, Set<Response>>();
  let client: pg.Client | null = null;
  let hasEnded = false;
  let retryMs = FIRST_RETRY_MS;
  let retry: NodeJS.Timeout | undefined;

  const tell = (gameId: GameId, lastSeq: number | null): void => {
    for (const res of streams.get(gameId) ?? [])
      res.write(`data: ${JSON.stringify({ lastSeq })}\n\n`);
  };
  const tellAll = (): void => {
    // Something may have come while nobody listened.
    for (const gameId of streams.keys()) tell(gameId, null);
  };
  const again = (error: Error): void => {
    if (hasEnded || retry) return;
    logger.warn({ err: error }, 'the connection that listens to games was lost');
    client = null;
    retry = setTimeout(() => {
      retry = undefined;
      void listen();
    }, retryMs);
    retryMs = Math.min(LONGEST_RETRY_MS, retryMs * 2);
  };
  const listen = async (): Promise<void> => {
    const own = new pg.Client({ connectionString: databaseUrl, keepAlive: true });
    own.on('error', again);
    own.on('end', () => {
      again(new Error('the connection ended'));
    });
    own.on('notification', ({ payload = '' }) => {
      const [, gameId = '', lastSeq = ''] = payload.split(' ');
      tell(gameId as GameId, Number(lastSeq));
    });
    try {
      await own.connect();
      await own.query(`listen ${CHANNEL}`);
      client = own;
      retryMs = FIRST_RETRY_MS;
      tellAll();
    } catch (error) {
      again(error instanceof Error ? error : new Error('the connection was refused'));
    }
  };
  const heartbeat = setInterval(() => {
    for (const all of streams.values()) for (const res of all) res.write(': still here\n\n');
  }, HEARTBEAT_MS);
  heartbeat.unref();
  void listen();

  return {
    follow(gameId, lastSeq, res) {
      // No transform: a stream that is compressed waits until there is enough to compress.
      res.writeHead(200, {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-store, no-transform',
        'X-Accel-Buffering': 'no',
      });
      res.write(`retry: 1000\ndata: ${JSON.stringify({ lastSeq })}\n\n`);
      const own = streams.get(gameId) ?? new Set();
      streams.set(gameId, own.add(res));
      res.on('close', () => {
        own.delete(res);
        if (own.size === 0) streams.delete(gameId);
      });
      if (hasEnded) res.end();
    },
    async end() {
      hasEnded = true;
      clearInterval(heartbeat);
      clearTimeout(retry);
      for (const all of streams.values()) for (const res of all) res.end();
      await client?.end();
    },
  };
}
