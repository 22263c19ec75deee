import path from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler, type Router } from 'express';
import helmet from 'helmet';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Config } from './config.ts';
import type { Deps } from './deps.ts';
import { accountRoutes } from './features/accounts/index.ts';
import { fileRoutes } from './features/files/index.ts';
import { adviceRoutes } from './features/advice/index.ts';
import {
  entranceRoutes,
  entryRoutes,
  gameRoutes,
  passRoutes,
  type Live,
} from './features/games/index.ts';
import { gateEventRoutes, gateRoutes } from './features/gates/index.ts';
import { inningsRoutes } from './features/innings/index.ts';
import { leadRoutes } from './features/leads/index.ts';
import { peopleRoutes } from './features/people/index.ts';
import { basesRoutes } from './features/bases/index.ts';
import { buntRoutes } from './features/bunts/index.ts';
import { practiceRoutes } from './features/drills/index.ts';
import { drillRoutes, signRoutes } from './features/signs/index.ts';
import { teamRoutes } from './features/teams/index.ts';
import { teamThumbRoutes, thumbRoutes, timingRoutes } from './features/timing/index.ts';
import { errorHandler, unknownPath } from './http/errors.ts';
import { makeReply } from './http/exchange.ts';
import { sameOriginWrites } from './http/guard.ts';
import { errorForLog } from './http/log.ts';
import { Problem } from './http/problem.ts';
import { meantAccount, sessions, signedCookies, signedIn } from './http/session.ts';

/** Bodies: what a form sends, a batch or an import of rows. Whole teams are read by their own route. */
const SMALL: RequestHandler = express.json({ limit: '16kb' });
const LARGE: RequestHandler = express.json({ limit: '200kb' });

export interface AppParts {
  pool: Pool;
  /** A connection for being asked how it is. */
  probe: Pool;
  config: Config;
  logger: Logger;
  live: Live;
}

/** The whole HTTP application. It keeps no state of its own: everything is in the database. */
export function makeApp({ pool, probe, config, logger, live }: AppParts): Express {
  const deps: Deps = { pool, config, logger, reply: makeReply(config.checkReplies), live };
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', config.trustProxy);
  // What is answered from the data is never kept by a browser; pages and files have marks of their own.
  app.set('etag', false);
  app.use(requestLog(logger), securityHeaders(config), whereFetched(compression()));

  app.get('/healthz', (_req, res) => void res.type('text').send('ok'));
  app.get('/readyz', async (_req, res) => {
    await probe.query('select 1');
    res.type('text').send('ready');
  });

  const api = express.Router();
  api.use((_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  // Devices have a token instead of a session; it is asked for before their body is read.
  const mounts: [path: string, router: Router][] = [];
  const mount = (path: string, router: Router, ...before: RequestHandler[]): void => {
    mounts.push([`/api${path}`, router]);
    api.use(path, ...before, router);
  };
  mount('/gates', gateEventRoutes(deps, SMALL));
  api.use(sameOriginWrites);
  mount('/teams', entryRoutes(deps, LARGE));
  api.use(sessions(pool, config, logger));
  mount('/accounts', accountRoutes(deps), signedCookies(config), SMALL);
  mount('/passes', entranceRoutes(deps), SMALL);
  mount('/drills', drillRoutes(deps), SMALL);
  // Nothing of any other body is read before somebody is signed in.
  api.use((req, _res, next) => {
    const accountId = signedIn(req);
    // A tab that still works for the coach who was signed in here before must not write as this one.
    const meant = meantAccount(req);
    if (meant !== null && meant !== accountId) {
      throw new Problem(401, 'Another coach has signed in on this device. Sign in again.');
    }
    next();
  });
  mount('/thumbs', thumbRoutes(deps), SMALL);
  mount('/teams', fileRoutes(deps));
  api.use('/teams', (req, res, next) => {
    const read = /\/(readings|import|entries|signs|answers|bunts|looks|reps)$/.test(req.path)
      ? LARGE
      : SMALL;
    read(req, res, next);
  });
  // They are tried in this order: what a game's devices send all the time comes first.
  for (const routes of [
    gameRoutes,
    timingRoutes,
    teamRoutes,
    peopleRoutes,
    teamThumbRoutes,
    leadRoutes,
    inningsRoutes,
    gateRoutes,
    passRoutes,
    adviceRoutes,
    signRoutes,
    buntRoutes,
    basesRoutes,
    practiceRoutes,
  ]) {
    mount('/teams', routes(deps));
  }
  api.use(unknownPath);
  app.use('/api', api);
  // What is served where, for the tests that try every route.
  app.locals['mounts'] = mounts;

  serveWeb(app, config.webRoot);
  app.use(unknownPath, errorHandler(logger));
  return app;
}

/** Answers to writes are short, and there are many of them. */
function whereFetched(handler: RequestHandler): RequestHandler {
  return (req, res, next) => {
    if (req.method === 'GET') handler(req, res, next);
    else next();
  };
}

/** One line a request, without query, body, cookie or address. */
function requestLog(logger: Logger) {
  return pinoHttp({
    logger,
    wrapSerializers: false,
    customLogLevel: (_req, res) => (res.statusCode >= 500 ? 'error' : 'debug'),
    // What broke is logged where it is answered; here an error would only be made up from the status.
    customErrorObject: (_req, _res, _error, { err: _madeUp, ...line }: Record<string, unknown>) =>
      line,
    serializers: {
      req: (req: { method: string; url: string }) => ({
        method: req.method,
        path: req.url.split('?')[0],
      }),
      res: (res: { statusCode: number }) => ({ status: res.statusCode }),
      err: errorForLog,
    },
  });
}

function securityHeaders(config: Config) {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'"],
        // Bootstrap draws its check marks and arrows as data: images.
        imgSrc: ["'self'", 'data:'],
        fontSrc: ["'self'"],
        // A clip is played from the device it lies on.
        mediaSrc: ["'self'", 'blob:'],
        workerSrc: ["'self'"],
        connectSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: config.secureCookies,
  });
}

/** The built pages. Hashed files may be kept for ever; the page that names them may not. */
function serveWeb(app: Express, webRoot: string): void {
  app.use(
    '/assets',
    express.static(path.join(webRoot, 'assets'), { immutable: true, maxAge: '1y', index: false }),
    unknownPath,
  );
  // What tells a browser that there is a new version is asked for every time.
  app.get(['/sw.js', '/registerSW.js', '/manifest.webmanifest'], (_req, res, next) => {
    res.set('Cache-Control', 'no-cache');
    next();
  });
  app.use(express.static(webRoot, { index: false, cacheControl: false }));
  app.get('/{*page}', (req, res, next) => {
    if (!req.accepts('html')) {
      next();
      return;
    }
    res.set('Cache-Control', 'no-cache').sendFile(path.join(webRoot, 'index.html'));
  });
}
