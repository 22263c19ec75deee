import { useCallback, useEffect, useRef } from 'react';

const USUAL_SECONDS = 1 / 60;
const SAMPLES = 20;

/** The step of the picture on this screen, measured; a usual one until it is. */
export function useFrame(): { frameSeconds: () => number } {
  const steps = useRef<number[]>([]);
  useEffect(() => {
    let frame = 0;
    let last: number | null = null;
    const measure = (now: number): void => {
      if (last !== null && steps.current.length < SAMPLES) steps.current.push((now - last) / 1000);
      last = now;
      if (steps.current.length < SAMPLES) frame = requestAnimationFrame(measure);
    };
    frame = requestAnimationFrame(measure);
    return () => {
      cancelAnimationFrame(frame);
    };
  }, []);
  const frameSeconds = useCallback((): number => {
    // The middle one: a page that stumbled once has no slower screen.
    const middle = steps.current.toSorted((a, b) => a - b)[Math.floor(steps.current.length / 2)];
    return Number(Math.min(0.1, middle ?? USUAL_SECONDS).toFixed(4));
  }, []);
  return { frameSeconds };
}
