import { buntTally } from '@bradyon/contract/bunts';
import { Router } from 'express';
import type { Deps } from '../../deps.ts';
import { addTallyRoutes } from '../../http/tally.ts';
import { buntTries } from './bunts.sql.ts';

/** Bunts counted in practice: what a bunter's own aim is known by. */
export function buntRoutes(deps: Deps): Router {
  const router = Router();
  addTallyRoutes(router, 'bunts', buntTries, buntTally, deps);
  return router;
}
