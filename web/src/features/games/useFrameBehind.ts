import { useEffect, useState } from 'react';

/**
 * What was given before, until the frame after it is painted: the answer to a tap is on the screen first, and
 * what takes longer follows.
 */
export function useFrameBehind<T>(value: T): T {
  const [shown, setShown] = useState(value);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => {
        setShown(() => value);
      });
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, [value]);
  return shown;
}
