import { newId } from '../../api/index.ts';

const KEY = 'bradyon-device';
let own: string | null = null;

/** This browser's own name for itself in games: made once and kept. It says nothing of who uses it. */
export function deviceId(): string {
  if (own !== null) return own;
  try {
    own = localStorage.getItem(KEY) ?? newId<never>();
    localStorage.setItem(KEY, own);
  } catch {
    // A browser that keeps nothing is another device at each start.
    own ??= newId<never>();
  }
  return own;
}
