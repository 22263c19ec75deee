import type { GameEvent } from './events.ts';

/** Of one kind at one place of a game, more than this is no game: a few devices, and a few corrections each. Judgement. */
const MOST_TOLD = 20;

/**
 * A list without what is told again and again of the same thing. Tellings of one thing are held against each other,
 * so that thousands of them would keep a server busy for minutes; no real game loses anything.
 */
export function boundedTellings(events: readonly GameEvent[]): GameEvent[] {
  const told = new Map<string, number>();
  return events.filter((event) => {
    if (!('slot' in event) || event.kind === 'undo' || event.kind === 'settle') return true;
    const key = `${event.kind} ${event.slot}`;
    const times = (told.get(key) ?? 0) + 1;
    told.set(key, times);
    return times <= MOST_TOLD;
  });
}
