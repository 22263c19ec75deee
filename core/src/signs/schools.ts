import type { Random } from '../maths/index.ts';
import { TOUCH_SPOTS } from './touches.ts';
import type { Indicator, PlayDef, Scheme, SignPlay, SignSystem, Touch } from './system.ts';

/** How a team reads its signs. */
export const SCHOOLS = ['touch', 'indicator', 'count', 'sum', 'card'] as const;
export type School = (typeof SCHOOLS)[number];

/** Plays that signs are made for, with how often they are given beside the others. [judgement] */
export const SIGN_PLAYS: readonly PlayDef[] = [
  { id: 'steal', weight: 5 },
  { id: 'bunt', weight: 3 },
  { id: 'hitAndRun', weight: 2 },
  { id: 'squeeze', weight: 1, critical: true },
  { id: 'take', weight: 5 },
  { id: 'delayed', weight: 1 },
  { id: 'doubleSteal', weight: 1 },
  { id: 'safetySqueeze', weight: 1, critical: true },
  { id: 'buntForHit', weight: 1 },
  { id: 'slash', weight: 1 },
  { id: 'contact', weight: 1 },
];

/** What a bench calls to its catcher and pitcher. */
export const PICKOFF_PLAYS: readonly PlayDef[] = [
  { id: 'throwFirst', weight: 4 },
  { id: 'throwThird', weight: 1 },
  { id: 'daylight', weight: 2 },
  { id: 'timing', weight: 2 },
  { id: 'insideTurn', weight: 1 },
  { id: 'behindFirst', weight: 1 },
  { id: 'behindThird', weight: 1 },
  { id: 'pitchOut', weight: 2 },
  { id: 'slideStep', weight: 4 },
  { id: 'longHold', weight: 3 },
];

/** Touches that a new system begins with: enough of them stand for nothing. */
const FIRST_TOUCHES: readonly Touch[] = [
  'cap',
  'brim',
  'ear',
  'nose',
  'chin',
  'chest',
  'belt',
  'thigh',
  'sleeve',
  'wrist',
  'clap',
  'wipe',
];
/** Where plays begin, the ones told apart most easily first. */
const PLAY_TOUCHES: readonly Touch[] = [
  'cap',
  'chest',
  'nose',
  'thigh',
  'ear',
  'wrist',
  'chin',
  'sleeve',
];
const INDICATOR = 'belt';
const DIGIT_TOUCHES: readonly Touch[] = ['cap', 'ear', 'chin', 'chest', 'sleeve'];
const STOP = 'clap';

/** A system of a school for some plays, sound as it is, to be changed. @param random draws codes: a secure source */
export function newSystem(school: School, plays: readonly PlayDef[], random: Random): SignSystem {
  return {
    id: school,
    name: school,
    touches: [...FIRST_TOUCHES],
    plays: [...plays],
    indicator: school === 'touch' ? { kind: 'none' } : { kind: 'fixed', touch: INDICATOR },
    scheme: schemeOf(school, plays, random),
    occurrence: 'first',
    modifiers: [],
    situational: [],
    wipe: { touch: 'wipe', mode: 'restart' },
  };
}

/** The same team in another school: its plays, touches and wipe-off stay. */
export function inSchool(system: SignSystem, school: School, random: Random): SignSystem {
  const fresh = newSystem(school, system.plays, random);
  const indicator =
    fresh.indicator.kind === 'none' || system.indicator.kind === 'none'
      ? fresh.indicator
      : system.indicator;
  return { ...system, indicator, scheme: fresh.scheme, modifiers: [], occurrence: 'first' };
}

export function schoolOf({ scheme }: SignSystem): School {
  return scheme.kind === 'direct' ? 'touch' : scheme.kind;
}

function schemeOf(school: School, plays: readonly PlayDef[], random: Random): Scheme {
  const ids = plays.map(({ id }) => id);
  const spare = FIRST_TOUCHES.filter(
    (touch) => !PLAY_TOUCHES.includes(touch) && touch !== INDICATOR,
  );
  const own = [...PLAY_TOUCHES, ...spare].filter((touch) => touch !== 'wipe');
  const map = ids.map((play, index) => ({ touch: own[index] ?? '', play }));
  const values = DIGIT_TOUCHES.map((touch, index) => ({ touch, value: index + 1 }));
  switch (school) {
    case 'touch':
      return { kind: 'direct', map };
    case 'indicator':
      return { kind: 'indicator', offset: 1, map };
    case 'count':
      return { kind: 'count', list: spreadOut(plays), until: { stop: STOP } };
    case 'sum':
      return {
        kind: 'sum',
        take: 2,
        values,
        table: ids.map((play, index) => ({ sum: index + 2, play })),
      };
    case 'card':
      return { kind: 'card', take: 3, values, codes: drawCodes(ids, random) };
  }
}

/** One touch missed counts one less: nothing stands beside what must not be taken for another. */
function spreadOut(plays: readonly PlayDef[]): (SignPlay | null)[] {
  const usual = plays.filter(({ critical }) => critical !== true).map(({ id }) => id);
  const critical = plays.filter(({ critical: is }) => is === true).map(({ id }) => id);
  return [...usual, ...critical.flatMap((id) => [null, id])];
}

/** Codes of three digits of 1 to 5 for each play, two each, none twice and none a digit from another. */
function drawCodes(plays: readonly SignPlay[], random: Random): { code: string; play: SignPlay }[] {
  const digits = [1, 2, 3, 4, 5];
  // Twenty-five codes with a check digit: any digit misread is off the card.
  const all = digits.flatMap((a) =>
    digits.map((b) => `${String(a)}${String(b)}${String(((a + b) % 5) + 1)}`),
  );
  const mixed = all
    .map((code) => ({ code, at: random() }))
    .toSorted((a, b) => a.at - b.at)
    .map(({ code }) => code);
  const each = Math.min(2, Math.floor(mixed.length / Math.max(1, plays.length)));
  return plays.flatMap((play, index) =>
    mixed.slice(index * each, (index + 1) * each).map((code) => ({ code, play })),
  );
}

/** Every touch that means something, or starts, stops or takes back. */
function usedTouches({ scheme, indicator, modifiers, wipe }: SignSystem): Set<Touch> {
  const used = new Set<Touch>(hotTouches(indicator));
  if (scheme.kind === 'direct' || scheme.kind === 'indicator')
    for (const { touch } of scheme.map) used.add(touch);
  if (scheme.kind === 'sum' || scheme.kind === 'card')
    for (const { touch } of scheme.values) used.add(touch);
  if (scheme.kind === 'count' && scheme.until !== 'end') used.add(scheme.until.stop);
  if (indicator.kind === 'keyTouch') for (const { key } of indicator.keys) used.add(key);
  for (const { touch } of modifiers) used.add(touch);
  if (wipe) used.add(wipe.touch);
  return used;
}

/** Every touch that is an indicator at some time. */
export function hotTouches(indicator: Indicator): Touch[] {
  switch (indicator.kind) {
    case 'none':
      return [];
    case 'fixed':
      return [indicator.touch];
    case 'byInning':
    case 'byOuts':
      return indicator.touches;
    case 'keyTouch':
      return [indicator.default, ...indicator.keys.map(({ touch }) => touch)];
  }
}

/** Touches that stand for nothing yet, those of the system before those it has to learn. */
export function freeTouches(system: SignSystem): Touch[] {
  const used = usedTouches(system);
  const others = TOUCH_SPOTS.map(({ id }) => id).filter((id) => !system.touches.includes(id));
  return [...system.touches.filter((touch) => !used.has(touch)), ...others];
}

const WORDS: Readonly<Record<string, readonly string[]>> = {
  a: ['Anchors', 'Always'],
  b: ['Bask', 'Bold', 'Birds'],
  c: ['Crabs', 'Catch'],
  d: ['Daily', 'Dive'],
  h: ['Herons', 'Hide', 'Harbor'],
  n: ['Never', 'Nets'],
  s: ['Seals', 'Swim', 'Storms', 'Sing'],
  t: ['Terns', 'Tides', 'Turn'],
};

/** A phrase to keep the list of a count by: each word begins as its play does; an empty place begins with n. */
export function phraseFor(list: readonly (SignPlay | null)[]): string {
  const uses = new Map<string, number>();
  const words = list.map((play) => {
    const letter = (play ?? 'nothing').slice(0, 1).toLowerCase();
    const choice = WORDS[letter] ?? [letter.toUpperCase()];
    const use = uses.get(letter) ?? 0;
    uses.set(letter, use + 1);
    return choice[use % choice.length] ?? '';
  });
  return words.map((word, index) => (index === 0 ? word : word.toLowerCase())).join(' ');
}
