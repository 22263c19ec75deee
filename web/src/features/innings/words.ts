import type { Gamble, Needed, Saying, SayingTested } from '@bradyon/core/innings';
import { percent } from '../../ui/index.ts';

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
  contactConceded: 'Go on contact, run conceded',
};

/** What it needs, in whole percents. */
export function neededText(needed: Needed): string {
  switch (needed) {
    case 'always':
      return 'always worth it';
    case 'never':
      return 'never worth it';
    case 'noGain':
      return 'no gain';
    default:
      return needed >= 1 ? 'never worth it' : percent(needed);
  }
}

export const SAYING_TEXT: Record<Saying, string> = {
  outsAtThird: 'Never make the first or the third out at third',
  fourInFive: 'Eight in ten or stay',
  buntHimOver: 'Bunt him over with nobody out',
  baseToBase: 'Four down: go base to base',
};

/** What the numbers say of a saying here. */
export function sayingWords(tested: SayingTested, by: 'runs' | 'win'): string {
  switch (tested.saying) {
    case 'outsAtThird': {
      const [none, one, two] = tested.needed.map(neededText);
      return `Third needs ${none ?? ''} with nobody out, ${one ?? ''} with one, ${two ?? ''} with two.`;
    }
    case 'fourInFive': {
      const [none, one, two] = tested.needed.map(neededText);
      return `Second needs ${none ?? ''} with nobody out, ${one ?? ''} with one, ${two ?? ''} with two.`;
    }
    case 'buntHimOver': {
      const [first, both] = tested.gains.map((gain) => gainText(gain, by));
      return `Runner on first: ${first ?? ''}; first and second: ${both ?? ''}, for an average bunter.`;
    }
    case 'baseToBase': {
      const [down, now] = tested.needed.map(neededText);
      return `Second with nobody out needs ${down ?? ''} four down, ${now ?? ''} as it stands.`;
    }
  }
}

/** @example gainText(-0.15, 'runs') // 'costs .15 runs' */
export function gainText(gain: number, by: 'runs' | 'win'): string {
  const size = Math.abs(gain);
  const figure =
    by === 'runs'
      ? `${size.toFixed(2).replace(/^0/, '')} runs`
      : `${(size * 100).toFixed(1)} points`;
  return `${gain >= 0 ? 'wins' : 'costs'} ${figure}`;
}
