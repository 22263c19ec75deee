import { useSyncExternalStore } from 'react';

const MINUTE_MS = 60_000;
const hearers = new Set<() => void>();
let minute = Math.floor(Date.now() / MINUTE_MS);
let timer: ReturnType<typeof setInterval> | undefined;

/** A page may be open past midnight, and a device may sleep in between. */
function look(): void {
  const now = Math.floor(Date.now() / MINUTE_MS);
  if (now === minute) return;
  minute = now;
  for (const hear of hearers) hear();
}

function hearMinutes(hear: () => void): () => void {
  hearers.add(hear);
  timer ??= setInterval(look, MINUTE_MS / 4);
  document.addEventListener('visibilitychange', look);
  return () => {
    hearers.delete(hear);
    document.removeEventListener('visibilitychange', look);
    if (hearers.size > 0) return;
    clearInterval(timer);
    timer = undefined;
  };
}

/** The time to the minute, milliseconds since 1970: for whatever speaks of days. */
export function useNow(): number {
  return useSyncExternalStore(hearMinutes, () => minute * MINUTE_MS);
}
