import { tabledNormalCdf } from '../maths/normals.ts';
import type { ReadyBunt } from './prepare.ts';
import { mixed, resolveBunt, whoReaches, type Bunted } from './resolve.ts';
import type { Bunt } from './roll.ts';

/** How sharply a runner on a safety squeeze goes only where it pays, as a share of what is at stake. Judgement. */
const JUDGES_WITHIN = 0.15;

/**
 * One fair bunt on a safety squeeze: the runner from third sees it down and goes when it pays, or stays.
 * The defence looking him back first is not counted.
 * @param going the situation with the runner from third off with the bunt
 * @param staying the same with him held
 */
export function resolveSafety(bunt: Bunt, going: ReadyBunt, staying: ReadyBunt): Bunted {
  const reached = whoReaches(bunt, going);
  const goes = resolveBunt(bunt, going, reached);
  const stays = resolveBunt(bunt, staying, reached);
  const go = tabledNormalCdf((goes.value - stays.value) / (JUDGES_WITHIN * going.stake));
  // Held, there is no lead runner to get.
  return { ...mixed([goes, stays], [go, 1 - go]), leadOut: go * goes.leadOut };
}
