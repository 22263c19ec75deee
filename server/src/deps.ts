import type { Logger } from 'pino';
import type { Pool } from 'pg';
import type { Config } from './config.ts';
import type { Live } from './features/games/index.ts';
import type { Reply } from './http/exchange.ts';

/** What every feature is given. */
export interface Deps {
  pool: Pool;
  config: Config;
  logger: Logger;
  reply: Reply;
  /** Who follows a game. */
  live: Live;
}
