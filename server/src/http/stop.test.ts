import { createServer, type Server } from 'node:http';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { stopServer } from './stop.ts';

describe('a server that is told to stop', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  /** A server that closes only when its connections are cut. */
  function aHeldServer(): Server {
    const server = createServer();
    let closed: ((error?: Error) => void) | undefined;
    vi.spyOn(server, 'close').mockImplementation((done) => {
      closed = done;
      return server;
    });
    vi.spyOn(server, 'closeAllConnections').mockImplementation(() => closed?.());
    return server;
  }

  it('cuts off within ten seconds whoever is never done, and not at once', async () => {
    let isDone = false;
    void stopServer(aHeldServer()).then(() => {
      isDone = true;
    });
    await vi.advanceTimersByTimeAsync(2000);
    expect(isDone).toBe(false);
    await vi.advanceTimersByTimeAsync(8000);
    expect(isDone).toBe(true);
  });
});
