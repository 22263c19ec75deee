import type { ReactNode } from 'react';
import './How.scss';

/** How a figure came about, one tap away. */
export function How({ children }: { children: ReactNode }) {
  return (
    <details className="how">
      <summary>How this works</summary>
      {children}
    </details>
  );
}
