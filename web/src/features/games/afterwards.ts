import { useEffect } from 'react';
import { currentAccount } from '../../api/index.ts';

/** By then the answer to a tap is on the screen, on a slow phone too. */
const AFTERWARDS_MS = 150;

interface Due {
  work: () => void;
  accountId: string | null;
}
let due: Due | null = null;

/** What is due now, before anything else is told: what is told keeps its order. */
export function doWhatIsDue(): void {
  const now = due;
  due = null;
  // Whoever signs out in between must not have it told in another's name.
  if (now !== null && now.accountId === currentAccount()) now.work();
}

/** Does it a moment later, or before the next thing is told. */
export function afterwards(work: () => void): void {
  doWhatIsDue();
  const own: Due = { work, accountId: currentAccount() };
  due = own;
  setTimeout(() => {
    if (due === own) doWhatIsDue();
  }, AFTERWARDS_MS);
}

/**
 * A way to do something once the tap is answered, or sooner: before the next thing is told, when the page is left,
 * and when it goes out of sight, where it may be ended at any moment.
 */
export function useAfterwards(): (work: () => void) => void {
  useEffect(() => {
    const ifHidden = (): void => {
      if (document.visibilityState === 'hidden') doWhatIsDue();
    };
    addEventListener('pagehide', doWhatIsDue);
    document.addEventListener('visibilitychange', ifHidden);
    return () => {
      removeEventListener('pagehide', doWhatIsDue);
      document.removeEventListener('visibilitychange', ifHidden);
      doWhatIsDue();
    };
  }, []);
  return afterwards;
}
