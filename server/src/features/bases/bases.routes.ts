import { lookTally } from '@bradyon/contract/bases';
import { Router } from 'express';
import type { Deps } from '../../deps.ts';
import { addTallyRoutes } from '../../http/tally.ts';
import { fielderLooks } from './bases.sql.ts';

/** What was seen of outfielders: their habits are known by it. */
export function basesRoutes(deps: Deps): Router {
  const router = Router();
  addTallyRoutes(router, 'bases/looks', fielderLooks, lookTally, deps);
  return router;
}
