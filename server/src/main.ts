import { pino } from 'pino';
import { makeApp } from './app.ts';
import { configFrom } from './config.ts';
import { makePool } from './db/pool.ts';

const config = configFrom(process.env);
const logger = pino({ level: config.logLevel });
const pool = makePool(config.databaseUrl);
// An idle connection that dies (the database restarted) is replaced by the pool at the next query.
pool.on('error', (error) => {
  logger.warn({ err: error }, 'a database connection was lost');
});

const server = makeApp(pool, config, logger).listen(config.port, config.host, (failed) => {
  if (failed) {
    logger.fatal({ err: failed }, `port ${String(config.port)} cannot be used`);
    process.exit(1);
  }
  logger.info(`listening on http://${config.host}:${String(config.port)}`);
});

/** Lets running requests end, then the connections. */
function stop(): void {
  server.close(() => {
    void pool.end().then(() => process.exit(0));
  });
  server.closeIdleConnections();
}
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
