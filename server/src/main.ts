import { readFileSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import { makeApp } from './app.ts';
import { configFrom } from './config.ts';
import { makePool } from './db/pool.ts';
import { makeLive } from './features/games/index.ts';
import { makeLogger } from './http/log.ts';
import { stopServer } from './http/stop.ts';

const config = configFrom(process.env);
const logger = makeLogger(config.logLevel);
const onLost = (error: Error): void => {
  logger.warn({ err: error }, 'a database connection was lost');
};
const pool = makePool(config.databaseUrl, { onLost });
// Its own connection, so that being asked how it is never waits behind the work.
const probe = makePool(config.databaseUrl, { max: 1, statementMs: 2000, onLost });

const live = makeLive(config.databaseUrl, logger);

const app = makeApp({ pool, probe, config, logger, live });
const server = config.tls
  ? https.createServer(
      { key: readFileSync(config.tls.keyFile), cert: readFileSync(config.tls.certificateFile) },
      app,
    )
  : http.createServer(app);
server.on('error', (failed) => {
  logger.fatal({ err: failed }, `port ${String(config.port)} cannot be used`);
  process.exit(1);
});
server.listen(config.port, config.host, () => {
  logger.info(`listening on ${config.host}:${String(config.port)}`);
});
server.headersTimeout = 15_000;
server.requestTimeout = 120_000;

const POOL_END_MS = 2000;
let stopping: Promise<void> | undefined;

/** Lets running requests end, then the connections. */
function stop(): void {
  stopping ??= (async () => {
    // Streams never end by themselves; a database that is gone must not hold up the rest.
    const quiet = live.end();
    await stopServer(server);
    const ended = Promise.all([pool.end(), probe.end(), quiet]);
    await Promise.race([ended, new Promise((done) => setTimeout(done, POOL_END_MS))]);
    process.exit(0);
  })();
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
if (config.endWithParent) process.stdin.on('end', stop).on('error', stop).resume();
