import type { CountedTask } from '@bradyon/core/drills';
import {
  aimNear,
  aimOfLane,
  ONE_ANSWER_RUNS,
  SHOWS,
  type Alignment,
  type AlignmentName,
  type BuntFielder,
  type BuntLane,
  type BuntPace,
  type BuntResult,
  type BuntStyle,
  type BuntPlan,
  type BuntPlay,
  type BuntQuestion,
  type Lane,
  type PricedAim,
  type Show,
  type Surface,
} from '@bradyon/core/bunts';
import type { Sport } from '@bradyon/core/rules';
import { distance, hundredths, percent } from '../../ui/index.ts';

export const PLAY_TEXT: Record<BuntPlay, string> = {
  sacrifice: 'Sacrifice',
  suicide: 'Squeeze',
  safety: 'Safety squeeze',
  hit: 'For a hit',
  slap: 'Slap',
};

export const ALIGNMENT_TEXT: Record<AlignmentName, string> = {
  holding: 'Holding',
  normal: 'Normal',
  in: 'In',
  crashFirst: '1B crash',
  crashBoth: 'Both crash',
  wheel: 'Wheel',
  deep: '3B deep',
};

export const SURFACE_TEXT: Record<Surface, string> = {
  dryGrass: 'Dry grass',
  wetGrass: 'Wet or long grass',
  skin: 'Dirt',
  wetSkin: 'Wet dirt',
  turf: 'Turf',
};

export const LANE_TEXT: Record<Lane, string> = {
  thirdSoft: 'Third side, soft',
  thirdFirm: 'Third side, firm',
  dead: 'Dead in front',
  pitcher: 'Back at the pitcher',
  firstSoft: 'First side, soft',
  firstFirm: 'First side, firm',
  thirdLine: 'Down the third line',
  push: 'Push past the pitcher',
  slapThrough: 'Slap through short',
};

export const FIELDER_TEXT: Record<BuntFielder, string> = {
  P: 'pitcher',
  C: 'catcher',
  '1B': 'first baseman',
  '2B': 'second baseman',
  '3B': 'third baseman',
  SS: 'shortstop',
};

export const COUNTED_LANE_TEXT: Record<BuntLane, string> = {
  third: 'Third line',
  thirdMiddle: 'Third side',
  middle: 'Middle',
  firstMiddle: 'First side',
  first: 'First line',
};

export const RESULT_TEXT: Record<BuntResult, string> = {
  fair: 'Fair',
  foul: 'Foul',
  missed: 'Missed',
  popped: 'Popped up',
  pulledBack: 'Pulled back',
};

export const PACE_TEXT: Record<BuntPace, string> = { dead: 'Dead', soft: 'Soft', firm: 'Firm' };

export const TASK_TEXT: Record<CountedTask, string> = {
  firstSide: 'First side',
  thirdFirm: 'Third, firm',
  thirdSoft: 'Third, soft',
  deadMiddle: 'Dead in front',
};

export const STYLE_TEXT: Record<BuntStyle, string> = {
  square: 'Square',
  pivot: 'Pivot',
  drag: 'Drag',
  push: 'Push',
  slap: 'Slap',
};

const BAG_TEXT = { 1: 'first', 2: 'second', 3: 'third', 4: 'home' } as const;

/** Toward which side. */
export function sideText(degrees: number): string {
  if (degrees > 56) return 'Third-base side';
  return degrees < 34 ? 'First-base side' : 'Up the middle';
}

/** Rolls up to here are soft; dead ones half of it. */
const SOFT_FEET: Record<Sport, number> = { baseball: 34, softball: 18 };

export function paceText(rollFeet: number, sport: Sport): string {
  if (rollFeet <= SOFT_FEET[sport] * 0.65) return 'dead';
  return rollFeet <= SOFT_FEET[sport] ? 'soft' : 'firm';
}

/** A roll to the nearest two feet: nobody bunts finer. */
export function rollText(rollFeet: number): string {
  return distance(Math.round(rollFeet / 2) * 2);
}

/** What more something is worth. @example moreText(0.011, 'win') // '+1.1 points' */
function moreText(gain: number, by: 'runs' | 'win'): string {
  return `${signedText(gain, by)} ${by === 'runs' ? 'runs' : 'points'}`;
}

/** The figure alone, to stand in a column that names the unit. @example signedText(-0.05, 'win') // '−5.0' */
export function signedText(gain: number, by: 'runs' | 'win'): string {
  const size = Math.abs(gain);
  return `${gain < 0 ? '−' : '+'}${by === 'runs' ? hundredths(size) : (size * 100).toFixed(1)}`;
}

/** Against swinging away. @example againstText(-0.05, 'win') // '5.0 points worse than swinging' */
export function againstText(gain: number, by: 'runs' | 'win'): string {
  return gain < 0
    ? `${sizeText(-gain, by)} worse than swinging`
    : `${moreText(gain, by)} over swinging`;
}

const SHOW_TEXT: Record<Show, string> = {
  early: 'Before the pitch',
  release: 'as it is let go',
  late: 'later',
};
/** Nearer than this it does not matter when it is shown: chance to win or runs. */
const SAME_SHOW = { runs: 0.005, win: 0.001 };

/**
 * What it is worth by when it is shown.
 * @example 'Before the pitch +1.2, as it is let go +1.4, later −.3. Best: as it is let go.'
 */
export function showWords(worth: Record<Show, number>, by: 'runs' | 'win'): string {
  const each = SHOWS.map((show) => `${SHOW_TEXT[show]} ${signedText(worth[show], by)}`).join(', ');
  const most = Math.max(...Object.values(worth));
  const best = SHOWS.filter((show) => most - worth[show] <= SAME_SHOW[by]);
  const call =
    best.length === SHOWS.length
      ? 'It hardly matters.'
      : `Best: ${best.map((show) => SHOW_TEXT[show].toLowerCase()).join(' or ')}.`;
  return `${each} against swinging. ${call}`;
}

/** The same without a sign or a unit's plural trap, to stand after "costs". */
export function sizeText(size: number, by: 'runs' | 'win'): string {
  return by === 'runs' ? `${hundredths(size)} runs` : `${(size * 100).toFixed(1)} points`;
}

/** Figures of the model are good to eight points. @example rangeText(0.07) // '0–15%' */
export function rangeText(chance: number): string {
  const low = Math.max(0, Math.round((chance - DOUBT) * 100));
  const high = Math.min(100, Math.round((chance + DOUBT) * 100));
  return `${String(low)}–${String(high)}%`;
}
const DOUBT = 0.08;

export interface PlanWords {
  /** "Third-base side", or "Swing away". */
  call: string;
  /** "Soft, about 30 ft: +1.4 points over swinging." */
  why: string;
  bunts: boolean;
}

/** The answer of a plan. */
export function planWords(
  { best, swing, run }: Pick<BuntPlan, 'best' | 'swing' | 'run'>,
  sport: Sport,
  by: 'runs' | 'win',
): PlanWords {
  const gain = best.value - swing;
  const where = `${paceText(best.rollFeet, sport)}, about ${rollText(best.rollFeet)}`;
  if (Math.abs(gain) <= ONE_ANSWER_RUNS * run) {
    return {
      call: 'Too close to call',
      why: `Bunting ${sideText(best.degrees).toLowerCase()}, ${where}, is worth as much as swinging.`,
      bunts: false,
    };
  }
  if (gain < 0) {
    return {
      call: 'Swing away',
      why: `Swinging is better by ${sizeText(-gain, by)}. The best bunt: ${sideText(best.degrees).toLowerCase()}, ${where}.`,
      bunts: false,
    };
  }
  return {
    call: sideText(best.degrees),
    why: `${capital(where)}: ${moreText(gain, by)} over swinging.`,
    bunts: true,
  };
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Why the lane that is usually taught wins or loses here. */
export function textbookWords(
  lane: Lane,
  aim: PricedAim,
  best: PricedAim,
  { run, by, forced }: { run: number; by: 'runs' | 'win'; forced: boolean },
): string {
  const behind = best.value - aim.value;
  const name = LANE_TEXT[lane].toLowerCase();
  if (behind <= ONE_ANSWER_RUNS * run) return `The usual lane, ${name}, is as good here.`;
  const lead = aim.leadOut - best.leadOut;
  const batter = aim.batterOut - best.batterOut;
  const reasons = [
    forced && lead > TOLD ? 'it gets the lead runner out more often' : null,
    batter > TOLD ? 'the batter is out more often' : null,
    best.fair - aim.fair > TOLD ? 'it rolls foul more often' : null,
  ].filter((reason) => reason !== null);
  const protects = forced && lead < -TOLD ? ' It does protect the lead runner better.' : '';
  const why = reasons.length > 0 ? `: ${reasons.join(', and ')}` : '';
  return `The usual lane, ${name}, is worth ${sizeText(behind, by)} less here${why}.${protects}`;
}
const TOLD = 0.03;

/** How hard a corner comes in. */
const COMING: Record<Alignment['first'], number> = { deep: 0, normal: 1, hold: 1, in: 2, crash: 3 };

/** Old sayings about where to bunt, put to the numbers of this defense. */
export function sayingsHere(
  plan: BuntPlan,
  { alignment, bases, ruleset: { sport } }: Pick<BuntQuestion, 'alignment' | 'bases' | 'ruleset'>,
  by: 'runs' | 'win',
): { saying: string; found: string }[] {
  const worth = (lane: Lane): number => aimNear(plan, aimOfLane(lane, sport)).value;
  const sides = {
    third: Math.max(worth('thirdSoft'), worth('thirdFirm')),
    first: Math.max(worth('firstSoft'), worth('firstFirm')),
  };
  const tell = (better: number, other: number): string => {
    const gain = better - other;
    if (Math.abs(gain) <= ONE_ANSWER_RUNS * plan.run) return 'No difference here.';
    return gain > 0
      ? `True here, by ${sizeText(gain, by)}.`
      : `Not here: the other side is better by ${sizeText(-gain, by)}.`;
  };
  const found: { saying: string; found: string }[] = [];
  const [first, third] = [COMING[alignment.first], COMING[alignment.third]];
  if (first !== third) {
    const [away, toward] = first > third ? [sides.third, sides.first] : [sides.first, sides.third];
    found.push({ saying: 'Bunt where nobody charges.', found: tell(away, toward) });
  }
  if ((bases & 3) === 3) {
    found.push({
      saying: 'Make the third baseman field it.',
      found: tell(worth('thirdFirm'), sides.first),
    });
  }
  return found;
}

/** Who fields it, the likeliest first. @example 'third baseman 71%, pitcher 22%' */
export function fieldedText(fieldedBy: BuntPlan['atBest']['fieldedBy']): string {
  return Object.entries(fieldedBy)
    .filter(([, chance]) => chance >= 0.05)
    .toSorted(([, a], [, b]) => b - a)
    .map(([position, chance]) => `${FIELDER_TEXT[position as BuntFielder]} ${percent(chance)}`)
    .join(', ');
}

/** Where the ball is thrown, the likeliest first. */
export function thrownText(thrownTo: BuntPlan['atBest']['thrownTo']): string {
  const [first, second] = ([1, 2, 3, 4] as const)
    .map((bag) => ({ bag, chance: thrownTo[bag] }))
    .toSorted((a, b) => b.chance - a.chance);
  if (!first || first.chance < 0.05) return 'Nobody can be thrown out.';
  const other =
    second && second.chance >= 0.15
      ? `, sometimes to ${BAG_TEXT[second.bag]} (${percent(second.chance)})`
      : '';
  return `The throw goes to ${BAG_TEXT[first.bag]}${other}.`;
}
