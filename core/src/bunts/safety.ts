import { tabledNormalCdf } from '../maths/normals.ts';
import type { ReadyBunt } from './prepare.ts';
import { resolveBunt, type Bunted } from './resolve.ts';
import type { Bunt } from './roll.ts';

/** How sharply a runner on a safety squeeze goes only where it pays, as a share of what is at stake. Judgement. */
const JUDGES_WITHIN = 0.15;

/**
 * One fair bunt on a safety squeeze: the runner from third sees it down and goes when it pays, or stays.
 * The defence looking him back first is not reckoned.
 * @param going the situation with the runner from third off with the bunt
 * @param staying the same with him held
 */
export function resolveSafety(bunt: Bunt, going: ReadyBunt, staying: ReadyBunt): Bunted {
  const goes = resolveBunt(bunt, going);
  const stays = resolveBunt(bunt, staying);
  const go = tabledNormalCdf((goes.value - stays.value) / (JUDGES_WITHIN * going.stake));
  const of = (pick: (bunted: Bunted) => number): number => go * pick(goes) + (1 - go) * pick(stays);
  const positions = new Set([
    ...Object.keys(goes.fieldedBy),
    ...Object.keys(stays.fieldedBy),
  ]) as Set<keyof Bunted['fieldedBy']>;
  return {
    value: of(({ value }) => value),
    // Held, there is no lead runner to get.
    leadOut: go * goes.leadOut,
    batterOut: of(({ batterOut }) => batterOut),
    anyOut: of(({ anyOut }) => anyOut),
    doublePlay: of(({ doublePlay }) => doublePlay),
    wild: of(({ wild }) => wild),
    noPlay: of(({ noPlay }) => noPlay),
    fieldedBy: Object.fromEntries(
      [...positions].map((position) => [position, of(({ fieldedBy }) => fieldedBy[position] ?? 0)]),
    ),
    thrownTo: {
      1: of(({ thrownTo }) => thrownTo[1]),
      2: of(({ thrownTo }) => thrownTo[2]),
      3: of(({ thrownTo }) => thrownTo[3]),
      4: of(({ thrownTo }) => thrownTo[4]),
    },
  };
}
