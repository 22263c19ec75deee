import type {
  Calibration,
  Clearness,
  Habit,
  Refitted,
  Refusal,
  SeasonCall,
  Skill,
  Stands,
  TimedLegName,
} from '@bradyon/core/review';
import { percent } from '../../ui/index.ts';

const OPTION_TEXT: Record<string, string> = {
  stay: 'stay',
  stealSecond: 'steal second',
  stealThird: 'steal third',
  stealHome: 'steal home',
  doubleSteal: 'double steal',
  delayedSteal: 'delayed steal',
  hopSteal: 'hop steal',
  hitAndRun: 'hit and run',
  sacrifice: 'sacrifice',
  squeeze: 'squeeze',
  contact: 'go on contact',
  take: 'take',
};

export function optionText(name: string): string {
  return OPTION_TEXT[name] ?? name;
}

/** ".021" of chance to win, with its sign where it has a direction. */
export function wins(value: number, { signed = false }: { signed?: boolean } = {}): string {
  const size = Math.abs(value).toFixed(3).replace(/^0/, '');
  if (!signed || size === '.000') return size;
  return `${value < 0 ? '−' : '+'}${size}`;
}

export const LEG_TEXT: Record<TimedLegName, string> = {
  delivery: 'time to the plate',
  pop: 'pop time',
  jump: 'jump',
  run: 'run',
};

export const SKILL_TEXT: Record<Skill, string> = {
  jump: 'Jump',
  leave: 'Leaving on time',
  start: 'First steps',
  fullSpeed: 'Full speed',
  signs: 'Signs',
};

/** How a call reads afterwards: only what is clear is called a mistake. */
export function clearnessText(clearness: Clearness, cost: number): string {
  switch (clearness) {
    case 'right':
      return 'Right';
    case 'nothingInIt':
      return 'Nothing in it';
    case 'close':
      return `Close, ${wins(cost)} less`;
    case 'clear':
      return `Cost ${wins(cost)}`;
  }
}

type Came = Pick<SeasonCall, 'outcome' | 'resolved' | 'done'>;

/** What came of it. */
export function cameText({ outcome, resolved, done }: Came): string {
  if (done === 'stay') return 'Stayed';
  if (!resolved || outcome === 'notRun') return 'Left open';
  return { safe: 'Safe', safeOnError: 'Safe on an error', out: 'Out' }[outcome];
}

/** What may be said of the chances at this many attempts. */
export function calibrationText(found: Calibration): string {
  const { safe, count, expected, word, rangeLow, rangeHigh, offset } = found;
  const counts = `${String(safe)} of ${String(count)} safe, ${expected.toFixed(1)} expected`;
  if (word === 'few') return `Too few to tell. ${counts}.`;
  const range = `${counts}. ${String(rangeLow)} to ${String(rangeHigh)} is ordinary.`;
  if (word === 'inLine') return `In line. ${range}`;
  const [low, middle, high] = offset.at80;
  const read = `Read 80% as ${percent(middle)} (${percent(low)} to ${percent(high)}).`;
  const way = word === 'hintTooHigh' || word === 'tooHigh' ? 'too high' : 'too low';
  const start = word.startsWith('hint') ? `A hint that the chances are ${way}.` : `Chances ${way}.`;
  return `${start} ${range} ${read}`;
}

export const CONSTANT_TEXT: Record<Refitted, string> = {
  jump: 'Jump',
  jumpSd: 'Jump: try to try',
  tag: 'Tags, against the level’s',
  offLine: 'Throws off line',
  away: 'Throws away',
  within: 'Deliveries and pops: try to try, against the level’s',
  slideStep: 'Slide step saves',
  leftHander: 'Jump on a lefty, later by',
  thirdJump: 'Jump toward third, against second',
};

export const REFUSAL_TEXT: Record<Refusal, string> = {
  tooFew: 'A preview only: it takes 40 attempts to use it.',
  logNotWhole:
    'Not used: outs stealing are missing from the calls. A log of successes makes every chance too high.',
  tooFar: 'Not used: a number would lie where no team’s does. Look for a wrong watch first.',
  predictsWorse: 'Not used: it would have told your own outcomes worse.',
};

export const HABIT_TEXT: Record<Habit, string> = {
  slideStepRunnerOnFirst: 'Slide step, runner on first',
  slideStepOther: 'Slide step, otherwise',
  throwOverFirstPerPitch: 'Throws to first, a pitch',
  throwOverSecondPerPitch: 'Throws to second, a pitch',
  throwOverRepeat: 'Throws again after a throw',
  stepOff: 'Steps off, a pitch',
  pitchOut: 'Pitch-outs, a pitch',
  throwBehindFirst: 'Throws behind at first, a pitch',
  throwBehindThird: 'Throws behind at third, a pitch',
  runs: 'Goes, a pitch with a base open',
};

/** How the count stands for the pitcher. */
export const STANDS_TEXT: Record<Stands, string> = {
  ahead: 'pitcher ahead',
  even: 'even counts',
  behind: 'pitcher behind',
};

const PLACE_TEXT: Record<string, string> = {
  bench: 'the bench',
  third: 'third base',
  first: 'first base',
};

/** Who gave the sign: "third base". */
export function placeText(place: string): string {
  return PLACE_TEXT[place] ?? place;
}
