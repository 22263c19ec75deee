import type { GameState, PlayRecord } from './state.ts';

/** Every play in force, the first one first. */
export function recordsOf(state: GameState | null): PlayRecord[] {
  const records: PlayRecord[] = [];
  for (let at = state?.records ?? null; at !== null; at = at.before) records.push(at.value);
  return records.reverse();
}
