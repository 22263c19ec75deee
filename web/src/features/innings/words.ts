import {
  BUNT_WEIGHT,
  LEVEL_WEIGHT,
  type Needed,
  type Saying,
  type SayingTested,
} from '@bradyon/core/innings';
import { percent, hundredths } from '../../ui/index.ts';
import { bandOf, type GambleHere } from './gambles.ts';
import type { MapName } from './maps.ts';
import { NOTHING_KNOWN, type AtThePlate, type KnownHere, type PlateChoice } from './plate.ts';
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
      return 'nothing gained';
    default:
      return needed >= 1 ? 'never worth it' : percent(needed);
  }
}

export const SAYING_TEXT: Record<Saying, string> = {
  outsAtThird: 'Don’t make the first or last out at third',
  fourInFive: 'Only run if you make it 8 in 10',
  buntHimOver: 'With nobody out, bunt the runner over',
  baseToBase: 'Down four, play it station to station',
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

/** What something is worth to the side at bat. @example gainText(-0.15, 'runs') // 'costs .15 runs' */
export function gainText(gain: number, by: Situation['by']): string {
  return `${gain >= 0 ? 'wins' : 'costs'} ${sizeText(gain, by)}`;
}

/** Runs more or fewer, in a column of them. @example signedRuns(-0.153) // '−.15' */
export function signedRuns(gain: number): string {
  const figure = hundredths(Math.abs(gain));
  if (figure === '.00') return figure;
  return `${gain > 0 ? '+' : '−'}${figure}`;
}

/** What it is worth to us, whoever does it. @example forUsText(-0.054, 'win') // 'costs us 5.4 points' */
export function forUsText(gain: number, by: Situation['by']): string {
  return `${gain >= 0 ? 'wins' : 'costs'} us ${sizeText(gain, by)}`;
}

function sizeText(gain: number, by: Situation['by']): string {
  const size = Math.abs(gain);
  return by === 'runs' ? `${hundredths(size)} runs` : `${(size * 100).toFixed(1)} points`;
}

/** A worth as it is said. @example worthText(0.541, 'win') // '54.1%' */
function worthText(worth: number, by: Situation['by']): string {
  return by === 'runs' ? `${hundredths(worth)} runs` : `${(worth * 100).toFixed(1)}%`;
}

/** @example '59 to 65%' */
function bandText(needed: Needed): string {
  if (typeof needed !== 'number' || needed >= 1) return '';
  const [low, high] = bandOf(needed);
  return `${String(Math.round(low * 100))} to ${percent(high)}`;
}

/** What stands under a gamble: its doubt, what usually works, and the next batter. */
export function gambleFacts({ needed, usual, byPeople, next, isTie }: GambleHere): string[] {
  const facts = [bandText(needed)];
  if (isTie) facts.push('too close to call');
  if (usual !== null) {
    facts.push(byPeople ? `these players ${percent(usual)}` : `usually works ${percent(usual)}`);
  }
  if (next !== null) facts.push(`next batter ${neededText(next)}`);
  return facts.filter((fact) => fact !== '');
}

/** How the figure of a gamble comes about. */
export function gambleHow(
  { hold, safe, out, needed, usual, byPeople, isTie }: GambleHere,
  by: Situation['by'],
): string {
  const [wins, costs] = [safe - hold, hold - out];
  const said = (size: number): string =>
    by === 'runs' ? size.toFixed(2).replace(/^(-?)0/, '$1') : (size * 100).toFixed(1);
  const worths = `Staying is worth ${worthText(hold, by)}, safe ${worthText(safe, by)}, out ${worthText(out, by)}.`;
  const sum =
    typeof needed === 'number'
      ? ` Safe wins ${said(wins)}, out costs ${said(costs)}: going is even when it works ${said(costs)} times in ${said(wins + costs)}.`
      : ' Being safe gains almost nothing here, or an out costs nothing.';
  const tie = isTie ? ' Both are too small to matter. Go by what you see.' : '';
  const works =
    usual === null
      ? ''
      : byPeople
        ? ` On a medium ball these players make it ${percent(usual)} of the time: see Bases.`
        : ` At this level it works ${percent(usual)} of the time.`;
  return `${worths}${sum}${tie}${works}`;
}

export const PLATE_TEXT: Record<Situation['batting'], Record<PlateChoice, string>> = {
  we: {
    sacrifice: 'Sacrifice instead of swinging',
    squeeze: 'Squeeze instead of swinging',
    contactIn: 'Go on contact, infield in',
    contactBack: 'Go on contact, infield back',
    infieldIn: 'They bring the infield in',
    walk: 'They walk our batter',
  },
  they: {
    sacrifice: 'They sacrifice',
    squeeze: 'They squeeze',
    contactIn: 'They go on contact, infield in',
    contactBack: 'They go on contact, infield back',
    infieldIn: 'Infield in on a ground ball',
    walk: 'Walk their batter',
  },
};

const AGAINST: Record<PlateChoice, string> = {
  sacrifice: 'swinging away',
  squeeze: 'swinging away',
  contactIn: 'waiting to see it through',
  contactBack: 'waiting to see it through',
  infieldIn: 'infield back',
  walk: 'pitching to the batter',
};

const RESTS: Record<PlateChoice, string> = {
  sacrifice: '',
  squeeze: ' How a squeeze ends is under Rates.',
  contactIn: ' For ground balls only. Their shares are under Rates.',
  contactBack: ' For ground balls only. Their shares are under Rates.',
  infieldIn: ' The runner does what is better. The shares are under Rates.',
  walk: ' The next batter then bats with one more on base.',
};

/** How a choice at the plate comes about. */
const BY_PEOPLE =
  ' Worked out in Bunt for this bunter, these runners and the usual defense: see Bunt for where to put it.';

export function plateHow(
  { choice, chosen, otherwise }: AtThePlate,
  by: Situation['by'],
  up: Batter | null,
  known: KnownHere = NOTHING_KNOWN,
): string {
  const worths = `It is worth ${worthText(chosen, by)} to the side at bat, ${AGAINST[choice]} ${worthText(otherwise, by)}.`;
  if (choice === 'squeeze' && known.squeeze) return worths + BY_PEOPLE;
  if (choice === 'sacrifice' && known.bunt) return worths + BY_PEOPLE;
  if ((choice === 'contactIn' || choice === 'contactBack') && known.contact) {
    return `${worths} For ground balls only, by the legs of this runner and this batter: see Bases, Grounders.`;
  }
  if (choice !== 'sacrifice') return worths + RESTS[choice];
  const { buntTries = 0, buntsGood = 0 } = up?.record ?? {};
  const bunts = up
    ? ` ${up.person.name}: ${String(buntsGood)} of ${String(buntTries)} good, with ${String(BUNT_WEIGHT)} tries of the level average mixed in; ${percent(up.bunt.success + up.bunt.safe)} move the runner.`
    : '';
  return worths + bunts;
}

/** @example '38% from 84 PA' */
export function shareText({ ownShare, record }: Pick<Batter, 'ownShare' | 'record'>): string {
  const inGames = record?.inGames ?? 0;
  return record
    ? `${percent(ownShare)} from ${String(record.plateAppearances)} PA${inGames > 0 ? `, ${String(inGames)} in games here` : ''}`
    : 'average for the level: enter stats';
}

export const WEIGHT_WORDS = `${String(LEVEL_WEIGHT)} plate appearances of the level average are mixed in.`;

/** Whose figures they are. */
export function sidesText({
  order,
  theirs,
  isCurrent,
}: Pick<OddsInView, 'order' | 'theirs' | 'isCurrent'>): string {
  if (!isCurrent) return 'Working out your lineup...';
  const us = order.some(({ record }) => record) ? 'Your lineup' : 'An average lineup';
  const them =
    theirs.known === 0
      ? 'average batters'
      : `${theirs.name}, ${percent(theirs.ownShare)} from their stats`;
  return `${us} against ${them}.`;
}

/** How the figures of a map come about, in short. */
export function neededMapWords(map: MapName): string {
  if (map === 'runs')
    return 'Runs expected in the rest of the half, with your batters as they come up.';
  if (map === 'score') return 'Chance of at least one more run this half, in percent.';
  if (map === 'win') return 'Our chance to win from there, in percent.';
  return 'How often it needs to work, in percent. “go” is always worth it, “no” is never. Good to about three points.';
}
