import type { Server } from 'node:http';

const GRACE_MS = 6000;
const LOOK_MS = 100;

/**
 * Ends a server in order: what is being answered is answered, connections that only wait are closed,
 * and whoever sends a body without end is cut off after a while.
 */
export async function stopServer(server: Server, graceMs = GRACE_MS): Promise<void> {
  // A connection that is kept alive would bring one request after the other: this one is its last.
  server.prependListener('request', (_req, res) => {
    res.setHeader('Connection', 'close');
  });
  const closed = new Promise<void>((done) =>
    server.close(() => {
      done();
    }),
  );
  const look = setInterval(() => {
    server.closeIdleConnections();
  }, LOOK_MS);
  const cut = setTimeout(() => {
    server.closeAllConnections();
  }, graceMs);
  await closed;
  clearInterval(look);
  clearTimeout(cut);
}
