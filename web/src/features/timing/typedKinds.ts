import type { Person } from '@bradyon/core/people';
import { timesFromRelease, type Ruleset } from '@bradyon/core/rules';
import { describeMisfit, plainContext, type ReadingContext } from '@bradyon/core/timing';
import { dayIn } from '@bradyon/core/units';
import { titleOf } from './words.ts';

type Group = 'Pitcher' | 'Catcher' | 'Runner' | 'Outfielder';

/** A kind of time that can be typed in. */
export interface TypedKind {
  value: string;
  group: Group;
  text: string;
  context: ReadingContext;
}

/** Every kind of time there is under these rules, without its lead and distance. */
export function typedKinds(ruleset: Ruleset): TypedKind[] {
  const kind = (group: Group, parts: Partial<ReadingContext> & Pick<ReadingContext, 'kind'>) => {
    const context = { ...plainContext(parts.kind), ...parts };
    const text = parts.kind === 'dash' ? 'Sprint' : titleOf(context);
    return { value: text, group, text, context };
  };
  const isOpen = ruleset.leadRule === 'open';
  return [
    ...(timesFromRelease(ruleset)
      ? [kind('Pitcher', { kind: 'flight' })]
      : [
          kind('Pitcher', { kind: 'delivery', style: 'legLift' }),
          kind('Pitcher', { kind: 'delivery', style: 'slideStep' }),
          kind('Pitcher', { kind: 'hold' }),
        ]),
    ...(isOpen
      ? (['first', 'second', 'third'] as const).map((base) =>
          kind('Pitcher', { kind: 'pick', base }),
        )
      : []),
    kind('Catcher', { kind: 'pop', base: 'second' }),
    kind('Catcher', { kind: 'pop', base: 'third' }),
    kind('Runner', { kind: 'steal', base: 'second' }),
    kind('Runner', { kind: 'steal', base: 'third' }),
    kind('Runner', { kind: 'homeToFirst' }),
    kind('Runner', { kind: 'firstToThird' }),
    kind('Runner', { kind: 'secondToHome' }),
    ...(isOpen ? [kind('Runner', { kind: 'diveBack' })] : [kind('Runner', { kind: 'leave' })]),
    kind('Runner', { kind: 'dash' }),
    ...(['second', 'third', 'home'] as const).map((base) =>
      kind('Outfielder', { kind: 'outfieldThrow', base }),
    ),
  ];
}

/** What is timed of somebody first. */
export function usualKind(person: Person, kinds: readonly TypedKind[]): TypedKind | undefined {
  const group: Group = person.positions.includes('P')
    ? 'Pitcher'
    : person.positions.includes('C')
      ? 'Catcher'
      : 'Runner';
  return kinds.find((each) => each.group === group);
}

/**
 * What to enter instead of these seconds; null: they can be that kind.
 * @param seconds null: what was typed is no time
 */
export function secondsProblem(context: ReadingContext, seconds: number | null): string | null {
  if (seconds === null) return 'Enter seconds, like 1.41 or 141.';
  const misfit = describeMisfit({ ...context, seconds });
  return misfit?.path === 'seconds' ? misfit.message : null;
}

const HALF_DAY_MS = 12 * 60 * 60 * 1000;

/** An instant of that day in the team's time zone: now, if it is today. @param day like 2031-05-01 */
export function instantOn(day: string, timeZone: string | null, nowMs: number): string {
  if (dayIn(timeZone, nowMs) === day) return new Date(nowMs).toISOString();
  const noon = Date.parse(`${day}T12:00:00Z`);
  const within = [noon, noon - HALF_DAY_MS, noon + HALF_DAY_MS].find(
    (instant) => dayIn(timeZone, instant) === day,
  );
  return new Date(within ?? noon).toISOString();
}
