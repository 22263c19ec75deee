import { useLayoutEffect } from 'react';

/**
 * What a key does; given the event's own time stamp. Space is named 'Space', letters are lower case,
 * with Shift 'shift+t'.
 */
export type Keys = Record<string, (atMs: number) => void>;

/**
 * Keys for a whole page. They rest while something is being typed or chosen, and in menus and
 * dialogs. Space is taken from buttons too: after a click on Undo it has to be the watch again;
 * Enter still presses the button.
 */
export function useKeys(keys: Keys): void {
  // Before the page is seen: whoever sees it may press a key at once.
  useLayoutEffect(() => {
    const down = (event: KeyboardEvent): void => {
      const name = nameOf(event);
      const act = keys[name];
      if (!act || event.ctrlKey || event.metaKey || event.altKey || isBusy(event.target)) return;
      event.preventDefault();
      if (!event.repeat) act(event.timeStamp);
    };
    // A button is pressed when Space is let go.
    const up = (event: KeyboardEvent): void => {
      if (event.code === 'Space' && keys['Space'] && !isBusy(event.target)) event.preventDefault();
    };
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
    };
  }, [keys]);
}

function nameOf({ code, key, shiftKey }: KeyboardEvent): string {
  if (code === 'Space') return 'Space';
  const plain = key.toLowerCase();
  return shiftKey && /^[a-z]$/.test(plain) ? `shift+${plain}` : plain;
}

function isBusy(target: EventTarget | null): boolean {
  return (
    target instanceof Element &&
    target.closest(
      'input:not([type=radio]), select, textarea, .dropdown-menu, .modal, [aria-expanded=true]',
    ) !== null
  );
}
