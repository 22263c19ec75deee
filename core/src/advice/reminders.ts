import type { FactName, Facts } from './facts.ts';

/** Whom something is said to, or who says it to themselves. */
export const LISTENERS = [
  'runnerFirst',
  'runnerSecond',
  'runnerThird',
  'batter',
  'firstCoach',
  'thirdCoach',
  'bench',
  'field',
] as const;
export type Listener = (typeof LISTENERS)[number];

/** How a fact is asked about. */
export const HOWS = ['is', 'not', 'atLeast', 'atMost'] as const;

/** One thing that has to hold. */
export interface Condition {
  fact: FactName;
  how: (typeof HOWS)[number];
  value: string | number | boolean;
}

/** A thing worth saying, and when. */
export interface Reminder {
  id: string;
  to: Listener;
  /** All of it has to hold. */
  when: Condition[];
  /** What is said; {sum}, {outs} and {hold} are filled in. */
  say: string;
  /** Why, for whoever asks. */
  why: string;
  /** `first`: before all else, and once. */
  weight: number | 'first';
  /** Facts besides its own condition that make it news again. */
  newWith?: FactName[];
  /** Rules of one school are never shown with those of another. */
  school?: string;
}

/** Since when a reminder has held: for how many pitches it has stood, by what made it news. */
export type Memory = Readonly<Record<string, { key: string; sincePitch: number }>>;

/** How loud something still is after so many pitches; then it is silent until something changes. */
const NEWNESS = [1, 0.6, 0.3] as const;
/** A coach has time for two things. */
const MOST_EACH = 2;
/** The stake that counts once: this much chance to win between the two ways it can go. */
const USUAL_STAKE = 0.02;

function holds({ fact, how, value: wanted }: Condition, facts: Facts): boolean {
  const value = facts[fact];
  if (how === 'is') return value === wanted;
  if (how === 'not') return value !== wanted;
  if (typeof value !== 'number' || typeof wanted !== 'number') return false;
  return how === 'atLeast' ? value >= wanted : value <= wanted;
}

export interface Said {
  reminder: Reminder;
  weight: number;
}

/**
 * What is worth saying on this pitch: at most two things to each, what tells most first, and nothing again
 * until something of it has changed.
 * @param pitch the number of the pitch through the game: it only has to grow
 * @param stake swing of the running game here in chance to win; null: not known, and counts once
 * @returns what is said, and what has to be remembered for the next pitch
 */
export function choose(
  reminders: readonly Reminder[],
  facts: Facts,
  { memory, pitch, stake }: { memory: Memory; pitch: number; stake: number | null },
): { said: Said[]; memory: Memory } {
  const share = stake === null ? 1 : Math.min(2, Math.max(0.5, stake / USUAL_STAKE));
  const next: Record<string, { key: string; sincePitch: number }> = {};
  const found: Said[] = [];
  for (const reminder of reminders) {
    if (!reminder.when.every((condition) => holds(condition, facts))) continue;
    const key = JSON.stringify((reminder.newWith ?? []).map((fact) => facts[fact]));
    const known = memory[reminder.id];
    const since = known?.key === key ? known.sincePitch : pitch;
    next[reminder.id] = { key, sincePitch: since };
    const age = pitch - since;
    if (reminder.weight === 'first') {
      if (age === 0) found.push({ reminder, weight: Number.POSITIVE_INFINITY });
      continue;
    }
    const newness = NEWNESS[age] ?? 0;
    if (newness > 0) found.push({ reminder, weight: reminder.weight * newness * share });
  }
  const said: Said[] = [];
  for (const each of found.toSorted(
    (a, b) =>
      (a.weight === b.weight ? 0 : b.weight - a.weight) || (a.reminder.id < b.reminder.id ? -1 : 1),
  )) {
    const { to, school } = each.reminder;
    const others = said.filter(({ reminder }) => reminder.to === to);
    const clashes = others.some(
      ({ reminder }) =>
        school !== undefined && reminder.school !== undefined && reminder.school !== school,
    );
    if (others.length < MOST_EACH && !clashes) said.push(each);
  }
  return { said, memory: next };
}
