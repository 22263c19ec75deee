import type { MouseEvent, PointerEvent } from 'react';

/**
 * What is tapped to the millisecond. pointerdown, because a click is stamped when the finger leaves;
 * Enter, Space and a screen reader press without a pointer, and are heard as the click they make.
 * @param anyFinger a second finger counts too
 */
export function onTap(tap: (atMs: number) => void, { anyFinger = false } = {}) {
  return {
    onPointerDown: ({ isPrimary, button, nativeEvent }: PointerEvent): void => {
      if ((isPrimary || anyFinger) && button === 0) tap(nativeEvent.timeStamp);
    },
    onClick: ({ detail, nativeEvent }: MouseEvent): void => {
      if (detail === 0) tap(nativeEvent.timeStamp);
    },
  };
}
