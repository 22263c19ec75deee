import { useEffect } from 'react';

/** Keeps the screen on while something runs; a browser that cannot leaves it to the phone. */
export function useAwake(isRunning: boolean): void {
  useEffect(() => {
    if (!isRunning || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const hold = async (): Promise<void> => {
      // Refused on a low battery, and let go whenever the page is hidden: then it is asked for anew.
      const held = await navigator.wakeLock.request('screen').catch(() => null);
      if (isOver) await held?.release();
      else lock = held;
    };
    const shown = (): void => {
      if (document.visibilityState === 'visible') void hold();
    };
    void hold();
    document.addEventListener('visibilitychange', shown);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', shown);
      void lock?.release();
    };
  }, [isRunning]);
}
