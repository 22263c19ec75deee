import {
  BUNT_WEIGHT,
  LEVEL_WEIGHT,
  type Needed,
  type Saying,
  type SayingTested,
} from '@bradyon/core/innings';
import { percent } from '../../ui/index.ts';
import { bandOf, type GambleHere } from './gambles.ts';
import type { MapName } from './maps.ts';
import type { AtThePlate, PlateChoice } from './plate.ts';
import type { Batter } from './sides.ts';
import type { Situation } from './situation.ts';
import type { OddsInView } from './useOdds.ts';

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
export function sayingWords(tested: SayingTested, by: Situation['by']): string {
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
      return `Runner on first: ${first ?? ''}; first and second: ${both ?? ''}, with whoever is up.`;
    }
    case 'baseToBase': {
      const [down, now] = tested.needed.map(neededText);
      return `Second with nobody out needs ${down ?? ''} four down, ${now ?? ''} as it stands.`;
    }
  }
}

/** @example gainText(-0.15, 'runs') // 'costs .15 runs' */
export function gainText(gain: number, by: Situation['by']): string {
  const size = Math.abs(gain);
  const figure =
    by === 'runs'
      ? `${size.toFixed(2).replace(/^0/, '')} runs`
      : `${(size * 100).toFixed(1)} points`;
  return `${gain >= 0 ? 'wins' : 'costs'} ${figure}`;
}

/** A worth as it is said. @example worthText(0.541, 'win') // '54.1 %' */
function worthText(worth: number, by: Situation['by']): string {
  return by === 'runs'
    ? `${worth.toFixed(2).replace(/^0/, '')} runs`
    : `${(worth * 100).toFixed(1)}\u00a0%`;
}

/** @example "59 to 65 %" */
function bandText(needed: Needed): string {
  if (typeof needed !== 'number' || needed >= 1) return '';
  const [low, high] = bandOf(needed);
  return `${String(Math.round(low * 100))} to ${percent(high)}`;
}

/** What stands under a gamble: its doubt, what usually works, and the next batter. */
export function gambleFacts({ needed, usual, next, isTie }: GambleHere): string[] {
  const facts = [bandText(needed)];
  if (isTie) facts.push('hardly matters: within the doubt of the inputs');
  if (usual !== null) facts.push(`usually works ${percent(usual)}`);
  if (next !== null) facts.push(`next batter ${neededText(next)}`);
  return facts.filter((fact) => fact !== '');
}

/** How the figure of a gamble comes about. */
export function gambleHow(
  { hold, safe, out, needed, usual, isTie }: GambleHere,
  by: Situation['by'],
): string {
  const [wins, costs] = [safe - hold, hold - out];
  const said = (size: number): string =>
    by === 'runs' ? size.toFixed(2).replace(/^(-?)0/, '$1') : (size * 100).toFixed(1);
  const worths = `Staying is worth ${worthText(hold, by)}, safe ${worthText(safe, by)}, out ${worthText(out, by)}.`;
  const sum =
    typeof needed === 'number'
      ? ` Safe wins ${said(wins)}, out costs ${said(costs)}: going is even when it works ${said(costs)} times in ${said(wins + costs)}.`
      : ' Being safe gains nothing to speak of over staying, or an out costs nothing.';
  const tie = isTie
    ? ' Both are smaller than what the figures are good for: go by what the runner and the pitcher tell you.'
    : '';
  const works = usual === null ? '' : ` Of those tried at this level ${percent(usual)} work.`;
  return `${worths}${sum}${tie}${works}`;
}

export const PLATE_TEXT: Record<PlateChoice, string> = {
  sacrifice: 'Sacrifice instead of swinging',
  squeeze: 'Squeeze instead of swinging',
  contactIn: 'Go on contact, infield in',
  contactBack: 'Go on contact, infield back',
  infieldIn: 'Infield in on a ground ball',
  walk: 'Walk him on purpose',
};

const AGAINST: Record<PlateChoice, string> = {
  sacrifice: 'swinging away',
  squeeze: 'swinging away',
  contactIn: 'waiting to see it through',
  contactBack: 'waiting to see it through',
  infieldIn: 'infield back',
  walk: 'pitching to him',
};

const RESTS: Record<PlateChoice, string> = {
  sacrifice: '',
  squeeze: ' What a squeeze comes to is the sheet under Rates; it is no sacrifice.',
  contactIn: ' Of balls on the ground only; their shares are the sheet under Rates.',
  contactBack: ' Of balls on the ground only; their shares are the sheet under Rates.',
  infieldIn: ' The runner does what is better for him; the shares are the sheet under Rates.',
  walk: ' The next batter then bats with one more on base.',
};

/** How a choice at the plate comes about. */
export function plateHow(
  { choice, chosen, otherwise }: AtThePlate,
  by: Situation['by'],
  up: Batter | null,
): string {
  const worths = `It is worth ${worthText(chosen, by)} to the side at bat, ${AGAINST[choice]} ${worthText(otherwise, by)}.`;
  if (choice !== 'sacrifice') return worths + RESTS[choice];
  const { buntTries = 0, buntsGood = 0 } = up?.record ?? {};
  const bunts = up
    ? ` ${up.person.name}: ${String(buntsGood)} of ${String(buntTries)} good, the level counting as ${String(BUNT_WEIGHT)} tries; ${percent(up.bunt.success + up.bunt.safe)} move the runner.`
    : '';
  return worths + bunts;
}

/** @example "38 % his own" */
export function shareText({ ownShare, record }: Pick<Batter, 'ownShare' | 'record'>): string {
  return record
    ? `${percent(ownShare)} his own, of ${String(record.plateAppearances)} times up`
    : 'the level’s rates: enter his season';
}

export const WEIGHT_WORDS = `The level counts as ${String(LEVEL_WEIGHT)} times up; what he did counts as often as he was up.`;

/** Whose figures they are. */
export function sidesText({
  order,
  theirs,
  isCurrent,
}: Pick<OddsInView, 'order' | 'theirs' | 'isCurrent'>): string {
  if (!isCurrent) return 'Reckoning your line-up.';
  const us = order.some(({ record }) => record) ? 'Your line-up' : 'An average line-up';
  const them =
    theirs.known === 0
      ? 'average batters'
      : `${theirs.name}, ${percent(theirs.ownShare)} their own`;
  return `${us} against ${them}.`;
}

/** How the figures of a map come about, in short. */
export function neededMapWords(map: MapName): string {
  if (map === 'runs')
    return 'Runs still to come in the half, with each batter after him as he bats.';
  if (map === 'score') return 'The chance, in percent, of at least one more run in the half.';
  if (map === 'win') return 'The chance, in percent, that we win from there, inning by inning.';
  return 'How often it has to work, in percent, for going to be worth as much as staying. “go”: always worth it; “no”: never. Good to about three points.';
}
