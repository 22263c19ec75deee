import type { Gamble } from '@bradyon/core/innings';

export const GAMBLE_TEXT: Record<Gamble, string> = {
  stealSecond: 'Steal second',
  stealThird: 'Steal third',
  doubleSteal: 'Double steal',
  stealHome: 'Steal home',
  secondToHomeOnSingle: 'Second to home on a single',
  firstToThirdOnSingle: 'First to third on a single',
  firstToHomeOnDouble: 'First to home on a double',
  stretchSingleToDouble: 'Stretch a single',
  stretchDoubleToTriple: 'Stretch a double',
  stretchTripleToHome: 'Stretch a triple home',
  tagThirdToHome: 'Tag up, third to home',
  tagSecondToThird: 'Tag up, second to third',
  tagFirstToSecond: 'Tag up, first to second',
  contactThrowHome: 'Go on contact, thrown home',
  contactConceded: 'Go on contact, infield back',
};
