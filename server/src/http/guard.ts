import type { RequestHandler } from 'express';
import { Problem } from './problem.ts';

const SAFE_METHODS = ['GET', 'HEAD', 'OPTIONS'];

/** Writes come from our own pages only: another site's form or script is refused. */
export const sameOriginWrites: RequestHandler = (req, _res, next) => {
  if (!SAFE_METHODS.includes(req.method)) {
    const site = req.get('Sec-Fetch-Site');
    const origin = req.get('Origin');
    const foreignSite = site !== undefined && site !== 'same-origin' && site !== 'none';
    const foreignOrigin = origin !== undefined && hostOf(origin) !== req.host;
    if (foreignSite || foreignOrigin) {
      throw new Problem(403, 'Writes are accepted from our own pages only.');
    }
    const hasBody = req.get('Content-Length') !== undefined && req.get('Content-Length') !== '0';
    if (hasBody && !req.is('application/json')) {
      throw new Problem(415, 'Send the body as application/json.');
    }
  }
  next();
};

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}
