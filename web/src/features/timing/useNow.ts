import { useState } from 'react';

/** The time at which a part of the page was first shown: days do not pass while one looks at it. */
export function useNow(): number {
  const [now] = useState(() => Date.now());
  return now;
}
