import { automatonOf, TooManySigns, wayTo, type Automaton } from './automaton.ts';
import { contextsOf } from './contexts.ts';
import type { SignContext, SignPlay, SignSystem, Touch } from './system.ts';

type IssueCode =
  | 'UNKNOWN_TOUCH'
  | 'NO_INDICATOR'
  | 'DUPLICATE_KEY'
  | 'DUPLICATE_VALUE'
  | 'WIPE_IS_LIVE'
  | 'WIPE_IS_INDICATOR'
  | 'WIPE_IS_MODIFIER'
  | 'TWO_MEANINGS'
  | 'TOO_MANY_AT_ONCE'
  | 'UNREACHABLE_PLAY'
  | 'UNREACHABLE_HERE'
  | 'INDICATOR_IS_LIVE'
  | 'MODIFIER_CHAIN'
  | 'MODIFIER_IS_LIVE'
  | 'MODIFIER_IS_INDICATOR';

/** What is wrong with a system, in words a coach reads, and what it is about. */
export interface SignIssue {
  level: 'error' | 'warning';
  code: IssueCode;
  text: string;
  touches: Touch[];
  plays: SignPlay[];
  /** A shortest sequence that shows it, and where; null where no sequence does. */
  witness: { sequence: Touch[]; context: SignContext } | null;
}

export interface Validation {
  /** No sequence, of any length and in any spot, has two meanings, and every play can be given. */
  isSound: boolean;
  issues: SignIssue[];
}

/**
 * Proves that no sequence of any length has two meanings, by every state that one can come to; or gives the
 * shortest that has. Says too which plays cannot be given, ever or in some spot.
 */
export function validate(system: SignSystem): Validation {
  const machines = machinesOf(system);
  const proved = machines
    ? [...conflicts(system, machines), ...unreachable(system, machines)]
    : [
        issue(
          'error',
          'TOO_MANY_AT_ONCE',
          'Too many signs at once to check. Use fewer plays, or drop a modifier.',
        ),
      ];
  const issues = [...plainIssues(system), ...proved];
  return { isSound: !issues.some(({ level }) => level === 'error'), issues };
}

interface InContext {
  context: SignContext;
  machine: Automaton;
}

/** What can be read in every spot; null where it is too much to prove anything. */
function machinesOf(system: SignSystem): InContext[] | null {
  try {
    return contextsOf(system).map((context) => ({
      context,
      machine: automatonOf(system, context),
    }));
  } catch (error) {
    if (error instanceof TooManySigns) return null;
    throw error;
  }
}

const issue = (
  level: SignIssue['level'],
  code: IssueCode,
  text: string,
  about: Partial<Pick<SignIssue, 'touches' | 'plays' | 'witness'>> = {},
): SignIssue => ({ level, code, text, touches: [], plays: [], witness: null, ...about });

/** The touches that a scheme reads as plays or values. */
function liveTouches({ scheme }: SignSystem): Touch[] {
  switch (scheme.kind) {
    case 'direct':
    case 'indicator':
      return scheme.map.map(({ touch }) => touch);
    case 'sum':
    case 'card':
      return scheme.values.map(({ touch }) => touch);
    case 'count':
      return [];
  }
}

function indicatorTouches({ indicator }: SignSystem): Touch[] {
  switch (indicator.kind) {
    case 'none':
      return [];
    case 'fixed':
      return [indicator.touch];
    case 'byInning':
    case 'byOuts':
      return indicator.touches;
    case 'keyTouch':
      return [...indicator.keys.map(({ touch }) => touch), indicator.default];
  }
}

/** What can be seen without reading a sequence. */
function plainIssues(system: SignSystem): SignIssue[] {
  const { scheme, modifiers, wipe, touches, indicator } = system;
  const live = liveTouches(system);
  const hot = indicatorTouches(system);
  const found: SignIssue[] = [];
  const used = [...live, ...hot, ...modifiers.map(({ touch }) => touch)];
  const keys = indicator.kind === 'keyTouch' ? indicator.keys.map(({ key }) => key) : [];
  const stop = scheme.kind === 'count' && scheme.until !== 'end' ? [scheme.until.stop] : [];
  for (const touch of new Set([...used, ...keys, ...stop, ...(wipe ? [wipe.touch] : [])])) {
    if (!touches.includes(touch))
      found.push(
        issue(
          'error',
          'UNKNOWN_TOUCH',
          `“${touch}” is not among your touches. Add it or use another.`,
          {
            touches: [touch],
          },
        ),
      );
  }
  const needsHot = scheme.kind === 'indicator' || scheme.kind === 'count';
  if (needsHot && hot.length === 0)
    found.push(
      issue('error', 'NO_INDICATOR', 'Choose an indicator: without one nothing is ever live.'),
    );
  for (const touch of twice(keys))
    found.push(
      issue('error', 'DUPLICATE_KEY', `The key “${touch}” chooses two indicators. Keep one.`, {
        touches: [touch],
      }),
    );
  if (scheme.kind === 'sum' || scheme.kind === 'card') {
    for (const touch of twice(live))
      found.push(
        issue('error', 'DUPLICATE_VALUE', `“${touch}” has two values. Keep one.`, {
          touches: [touch],
        }),
      );
  }
  if (wipe) {
    const is = (list: readonly Touch[]): boolean => list.includes(wipe.touch);
    const about = { touches: [wipe.touch] };
    if (is(live))
      found.push(
        issue(
          'error',
          'WIPE_IS_LIVE',
          `“${wipe.touch}” is the wipe-off and a play too: it can never be read. Move one of them.`,
          about,
        ),
      );
    if (is(hot))
      found.push(
        issue(
          'error',
          'WIPE_IS_INDICATOR',
          `“${wipe.touch}” is the wipe-off and the indicator too. Move one of them.`,
          about,
        ),
      );
    if (is(modifiers.map(({ touch }) => touch)))
      found.push(
        issue(
          'error',
          'WIPE_IS_MODIFIER',
          `“${wipe.touch}” is the wipe-off and a modifier too. Move one of them.`,
          about,
        ),
      );
  }
  for (const touch of new Set(hot.filter((each) => live.includes(each))))
    found.push(
      issue(
        'warning',
        'INDICATOR_IS_LIVE',
        `“${touch}” is an indicator and a play. Players mix them up.`,
        {
          touches: [touch],
        },
      ),
    );
  for (const { touch, to } of modifiers) {
    if (modifiers.some(({ from }) => from === to))
      found.push(
        issue(
          'warning',
          'MODIFIER_CHAIN',
          `“${to}” comes of a modifier and has one of its own. Only the first counts.`,
          {
            plays: [to],
          },
        ),
      );
    if (live.includes(touch))
      found.push(
        issue(
          'warning',
          'MODIFIER_IS_LIVE',
          `“${touch}” is a modifier and a play. Players mix them up.`,
          {
            touches: [touch],
          },
        ),
      );
    if (hot.includes(touch))
      found.push(
        issue(
          'warning',
          'MODIFIER_IS_INDICATOR',
          `“${touch}” is a modifier and the indicator. Move one of them.`,
          {
            touches: [touch],
          },
        ),
      );
  }
  return found;
}

function twice(words: readonly string[]): string[] {
  return [...new Set(words.filter((word, index) => words.indexOf(word) !== index))];
}

/** Sets of plays that one sequence means together: only the smallest, each with its shortest sequence. */
function conflicts(system: SignSystem, machines: readonly InContext[]): SignIssue[] {
  const shortest = new Map<
    string,
    { plays: SignPlay[]; sequence: Touch[]; context: SignContext }
  >();
  for (const { context, machine } of machines) {
    for (const [state, plays] of machine.means.entries()) {
      if (plays.length < 2) continue;
      const key = plays.join('+');
      const sequence = wayTo(machine, state);
      const known = shortest.get(key);
      if (known && known.sequence.length <= sequence.length) continue;
      shortest.set(key, { plays: [...plays], sequence, context });
    }
  }
  const all = [...shortest.values()];
  const isSmallest = ({ plays }: { plays: SignPlay[] }): boolean =>
    !all.some(
      (other) =>
        other.plays.length < plays.length && other.plays.every((play) => plays.includes(play)),
    );
  const fix =
    system.occurrence === 'any' ? ' Agree whether the first or the last sign counts.' : '';
  return all.filter(isSmallest).map(({ plays, sequence, context }) => {
    const names = plays.map((play) => `“${play}”`).join(' and ');
    return issue('error', 'TWO_MEANINGS', `${sequence.join(', ')} means ${names}.${fix}`, {
      plays,
      witness: { sequence, context },
    });
  });
}

/** Plays that no sequence gives, ever or in some spot. */
function unreachable(system: SignSystem, machines: readonly InContext[]): SignIssue[] {
  const { plays, modifiers, situational } = system;
  const given = machines.map(
    ({ machine }) => new Set(machine.means.flatMap((each) => (each.length === 1 ? each : []))),
  );
  const wanted = new Set([
    ...plays.map(({ id }) => id),
    ...modifiers.map(({ to }) => to),
    ...situational.map(({ to }) => to),
  ]);
  return [...wanted].flatMap((play): SignIssue[] => {
    const isGiven = given.map((each) => each.has(play));
    const isReplaced = situational.some((rule) => rule.play === play);
    const isMade = situational.some((rule) => rule.to === play);
    if (!isGiven.includes(true)) {
      const level = isReplaced ? 'warning' : 'error';
      return [issue(level, 'UNREACHABLE_PLAY', `No sequence gives “${play}”.`, { plays: [play] })];
    }
    // What the situation makes or takes is meant to be missing somewhere.
    const missing = isGiven.indexOf(false);
    if (missing < 0 || isReplaced || isMade) return [];
    const { inning, outs } = machines[missing]?.context ?? { inning: 1, outs: 0 };
    const where =
      system.indicator.kind === 'byOuts'
        ? `with ${String(outs)} out`
        : `in inning ${String(inning)} of the cycle`;
    return [
      issue('warning', 'UNREACHABLE_HERE', `“${play}” cannot be given ${where}.`, {
        plays: [play],
      }),
    ];
  });
}
