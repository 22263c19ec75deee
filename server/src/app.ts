import path from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Config } from './config.ts';
import type { Deps } from './deps.ts';
import { accountRoutes } from './features/accounts/index.ts';
import { fileRoutes } from './features/files/index.ts';
import { gateEventRoutes, gateRoutes } from './features/gates/index.ts';
import { inningsRoutes } from './features/innings/index.ts';
import { leadRoutes } from './features/leads/index.ts';
import { peopleRoutes } from './features/people/index.ts';
import { teamRoutes } from './features/teams/index.ts';
import { teamThumbRoutes, thumbRoutes, timingRoutes } from './features/timing/index.ts';
import { errorHandler, unknownPath } from './http/errors.ts';
import { makeReply } from './http/exchange.ts';
import { sameOriginWrites } from './http/guard.ts';
import { sessions, signedIn } from './http/session.ts';

/** The whole HTTP application. It keeps no state of its own: everything is in the database. */
export function makeApp(pool: Pool, config: Config, logger: Logger): Express {
  const deps: Deps = { pool, config, logger, reply: makeReply(config.checkReplies) };
  const app = express();
  app.disable('x-powered-by');
  app.use(requestLog(logger), securityHeaders(config), compression());

  app.get('/healthz', (_req, res) => void res.type('text').send('ok'));
  app.get('/readyz', async (_req, res) => {
    await pool.query('select 1');
    res.type('text').send('ready');
  });

  const api = express.Router();
  api.use((_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  const json = express.json({ limit: '100kb' });
  // Devices have a token instead of a session.
  api.use('/gates', json, gateEventRoutes(deps));
  api.use(sameOriginWrites, sessions(pool, config));
  // A whole team is large; only somebody signed in may send so much.
  api.use('/teams/import', (req, _res, next) => {
    signedIn(req);
    next();
  });
  api.use('/teams/import', express.json({ limit: '50mb' }));
  api.use(json);
  api.use('/accounts', accountRoutes(deps));
  api.use('/thumbs', thumbRoutes(deps));
  api.use('/teams', fileRoutes(deps), teamRoutes(deps), peopleRoutes(deps));
  api.use('/teams', timingRoutes(deps), teamThumbRoutes(deps), leadRoutes(deps), gateRoutes(deps));
  api.use('/teams', inningsRoutes(deps));
  api.use(unknownPath);
  app.use('/api', api);

  serveWeb(app, config.webRoot);
  app.use(unknownPath, errorHandler(logger));
  return app;
}

/** One line a request, without query, body, cookie or address. */
function requestLog(logger: Logger) {
  return pinoHttp({
    logger,
    customLogLevel: (_req, res) => (res.statusCode >= 500 ? 'error' : 'debug'),
    serializers: {
      req: (req: { method: string; url: string }) => ({
        method: req.method,
        path: req.url.split('?')[0],
      }),
      res: (res: { statusCode: number }) => ({ status: res.statusCode }),
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
