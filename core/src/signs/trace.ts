import { startState, step } from './decode.ts';
import { indicatorIn, type SignContext, type SignSystem, type Touch } from './system.ts';

/** What one touch of a sequence did. */
export type TouchRole =
  | 'key'
  | 'indicator'
  | 'sign'
  | 'counted'
  | 'stop'
  | 'digit'
  | 'modifier'
  | 'wipe'
  | 'wiped'
  | 'decoy';

export interface TracedTouch {
  touch: Touch;
  role: TouchRole;
}

/**
 * A sequence with what each touch did, for teaching. What a wipe-off took back is wiped, whatever it was before.
 * @example traceOf(system, ['ear', 'belt', 'cap'], context) // decoy, indicator, sign
 */
export function traceOf(
  system: SignSystem,
  sequence: readonly Touch[],
  context: SignContext,
): TracedTouch[] {
  const { scheme, wipe, indicator } = system;
  const traced: TracedTouch[] = [];
  let state = startState(system, context);
  let hot = indicatorIn(indicator, context);
  for (const [index, touch] of sequence.entries()) {
    const after = step(system, state, touch);
    let role: TouchRole = 'decoy';
    if (state.isDead) role = 'wiped';
    else if (touch === wipe?.touch) {
      role = 'wipe';
      for (const each of traced) if (each.role !== 'key') each.role = 'wiped';
    } else if (index === 0 && indicator.kind === 'keyTouch') role = 'key';
    else {
      const signed = JSON.stringify(after.signs) !== JSON.stringify(state.signs);
      const fresh = after.signs.some(({ isFresh }) => isFresh) && signed;
      const modified =
        after.signs.some(
          ({ modified: to }, at) => to.length > (state.signs[at]?.modified.length ?? 0),
        ) || after.marks.length > state.marks.length;
      const taken = (lists: readonly (readonly number[])[]): number =>
        lists.reduce((sum, list) => sum + list.length, 0);
      const starts =
        after.counts.length > state.counts.length || after.digits.length > state.digits.length;
      const isArmed = touch === hot && scheme.kind !== 'direct';
      if (fresh) role = 'sign';
      else if (modified) role = 'modifier';
      else if (isArmed && (starts || scheme.kind === 'indicator' || state.counts.length === 0))
        role = 'indicator';
      else if (scheme.kind === 'count' && scheme.until !== 'end' && touch === scheme.until.stop)
        role = state.counts.length > 0 ? 'stop' : 'decoy';
      else if (scheme.kind === 'count' && state.counts.length > 0) role = 'counted';
      else if (taken(after.digits) > taken(state.digits)) role = 'digit';
      // The stop touch, or the last digit, completes the sign.
      if (fresh && scheme.kind === 'count') role = 'stop';
      if (fresh && (scheme.kind === 'sum' || scheme.kind === 'card')) role = 'digit';
      if (fresh && scheme.kind === 'indicator' && scheme.offset === -1) {
        role = 'indicator';
        const before = traced.at(-1);
        if (before) before.role = 'sign';
      }
    }
    traced.push({ touch, role });
    state = after;
    hot = state.hot;
  }
  return traced;
}
