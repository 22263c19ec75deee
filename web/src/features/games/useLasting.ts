import { useEffect, useState } from 'react';

/** What is over sooner is not worth a word. */
const LASTING_MS = 800;

/** Whether it has been so for a while. */
export function useLasting(isSo: boolean): boolean {
  const [lasts, setLasts] = useState(false);
  useEffect(() => {
    if (!isSo) return;
    const timer = setTimeout(() => {
      setLasts(true);
    }, LASTING_MS);
    return () => {
      clearTimeout(timer);
      setLasts(false);
    };
  }, [isSo]);
  return isSo && lasts;
}
