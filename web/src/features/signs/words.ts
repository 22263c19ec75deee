import {
  TOUCH_SPOTS,
  type FixKind,
  type School,
  type SignIssue,
  type TouchRole,
} from '@bradyon/core/signs';
import type { Meaning } from '@bradyon/core/signs';
import { HANDS_DOWN, type CoachHands } from '../../ui/figure/index.ts';

const TOUCH_WORDS: Readonly<Record<string, string>> = {
  cap: 'cap',
  brim: 'brim',
  ear: 'ear',
  nose: 'nose',
  chin: 'chin',
  shoulder: 'shoulder',
  chest: 'chest',
  sleeve: 'sleeve',
  elbow: 'elbow',
  wrist: 'wrist',
  belt: 'belt',
  hip: 'hip',
  thigh: 'thigh',
  clap: 'clap',
  wipe: 'wipe',
};
export const touchWord = (touch: string): string => TOUCH_WORDS[touch] ?? touch;

const PLAY_WORDS: Readonly<Record<string, string>> = {
  steal: 'Steal',
  bunt: 'Bunt',
  hitAndRun: 'Hit-and-run',
  squeeze: 'Squeeze',
  take: 'Take',
  delayed: 'Delayed steal',
  doubleSteal: 'Double steal',
  safetySqueeze: 'Safety squeeze',
  buntForHit: 'Bunt for a hit',
  slash: 'Slash',
  contact: 'Contact',
  throwFirst: 'Throw to first',
  throwThird: 'Throw to third',
  daylight: 'Daylight pick',
  timing: 'Timing pick',
  insideTurn: 'Inside turn',
  behindFirst: 'Catcher behind first',
  behindThird: 'Catcher behind third',
  pitchOut: 'Pitch-out',
  slideStep: 'Slide step',
  longHold: 'Long hold',
};
export const signWord = (play: Meaning): string =>
  play === null ? 'Nothing on' : (PLAY_WORDS[play] ?? play);

export const SCHOOL_WORDS: Record<
  School,
  { name: string; how: string; good: string; bad: string }
> = {
  touch: {
    name: 'One touch',
    how: 'One place on the body for each play. The first one counts.',
    good: 'Learned in one practice.',
    bad: 'Every touch speaks, so any slip can become a play.',
  },
  indicator: {
    name: 'Indicator',
    how: 'The touch after the indicator counts.',
    good: 'A missed touch is mostly nothing on.',
    bad: 'Players have to watch to the end.',
  },
  count: {
    name: 'Count',
    how: 'Count the touches after the indicator, down a list.',
    good: 'One phrase to remember, and touches mean nothing by themselves.',
    bad: 'One missed touch is the play next to it.',
  },
  sum: {
    name: 'Sum',
    how: 'Two touches after the indicator are added up.',
    good: 'Many pairs for each play.',
    bad: 'Everybody has to add under pressure.',
  },
  card: {
    name: 'Number card',
    how: 'Three touches are figures. The wristband says what they mean.',
    good: 'A wrong figure is no play at all. New codes each game.',
    bad: 'Slow, and everybody needs a card.',
  },
};

export const ROLE_WORDS: Record<TouchRole, string> = {
  key: 'picks the indicator',
  indicator: 'indicator',
  sign: 'the sign',
  counted: 'counts',
  stop: 'ends the count',
  digit: 'a figure',
  modifier: 'changes the play',
  wipe: 'wipes it off',
  wiped: 'wiped off',
  decoy: 'means nothing',
};

export const TIER_WORDS: Readonly<Record<string, string>> = {
  youngest: 'Fits 8 and under.',
  'under 12': 'Fits 10 to 12.',
  'under 14': 'Fits 12 to 14.',
  'high school': 'Fits high school.',
  older: 'A lot to remember, even for high school.',
};

const list = (touches: readonly string[]): string => touches.map(touchWord).join(' – ');

/** What is wrong with a system, as a coach says it. */
export function issueWords({ code, plays, touches, witness, text }: SignIssue): string {
  const [touch = ''] = touches;
  const [play = ''] = plays;
  // All others are said in the words they come with.
  // eslint-disable-next-line @typescript-eslint/switch-exhaustiveness-check
  switch (code) {
    case 'TWO_MEANINGS':
      return `${list(witness?.sequence ?? [])} means ${plays.map((each) => signWord(each)).join(' and ')}.`;
    case 'UNREACHABLE_PLAY':
      return `No touches give ${signWord(play)}.`;
    case 'UNREACHABLE_HERE':
      return text.replace(`“${play}”`, signWord(play));
    case 'INDICATOR_IS_LIVE':
      return `The ${touchWord(touch)} is an indicator and a play. Players mix them up.`;
    default:
      return text.replaceAll(
        /“([^”]+)”/g,
        (_, word: string) => `“${PLAY_WORDS[word] ?? touchWord(word)}”`,
      );
  }
}

/** What one tap does about it. */
export function fixWords(fix: FixKind): string {
  switch (fix.kind) {
    case 'firstCounts':
      return 'The first sign counts';
    case 'lastCounts':
      return 'The last sign counts';
    case 'movePlay':
      return `${signWord(fix.play)} on the ${touchWord(fix.to)}`;
    case 'moveModifier':
      return `Use the ${touchWord(fix.to)} for ${signWord(fix.play)}`;
    case 'dropModifier':
    case 'dropRule':
      return `Drop ${signWord(fix.play)}`;
    case 'narrowRule':
      return `${signWord(fix.play)} only where the other does not apply`;
    case 'dropCode':
      return `Drop that code for ${signWord(fix.play)}`;
    case 'addTouch':
      return `Add the ${touchWord(fix.to)}`;
    case 'moveWipe':
      return `Wipe off with the ${touchWord(fix.to)}`;
    case 'setIndicator':
    case 'moveIndicator':
      return `Use the ${touchWord(fix.to)} as indicator`;
    case 'dropKey':
    case 'dropValue':
      return `Drop the second ${touchWord(fix.to)}`;
    case 'listPlay':
      return `Put ${signWord(fix.play)} on the list`;
  }
}

const spots = new Map(TOUCH_SPOTS.map((spot) => [spot.id, spot]));

/** Where the hands are at a touch, and what is ringed. */
export function handsAt(touch: string | null): {
  hands: CoachHands;
  mark: { x: number; y: number } | null;
} {
  const spot = touch === null ? undefined : spots.get(touch);
  if (!spot) return { hands: HANDS_DOWN, mark: null };
  const mark = { x: spot.x, y: spot.y };
  if (spot.id === 'clap')
    return { hands: { right: { x: -2, y: 67 }, left: { x: 2, y: 67 } }, mark };
  // The other arm comes across to be touched.
  const isAcross = ['wrist', 'elbow', 'wipe'].includes(spot.id);
  const left = isAcross ? { x: 3, y: 62 } : HANDS_DOWN.left;
  return { hands: { right: mark, left }, mark };
}

/** A chance to fail as a coach says it. @example oneIn(0.21) // '1 in 5' */
export function oneIn(share: number): string {
  if (share <= 0.005) return 'hardly ever';
  return `1 in ${String(Math.max(1, Math.round(1 / share)))}`;
}
