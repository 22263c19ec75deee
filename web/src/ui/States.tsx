import type { ReactNode } from 'react';
import './States.scss';

/** Nothing here yet: what to do next. */
export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="state-box">
      <p className="state-title">{title}</p>
      {children}
    </div>
  );
}

/** Holds the place of what is on its way, so that nothing jumps when it arrives. */
export function Loading({ what }: { what: string }) {
  return (
    <div className="state-box state-loading" role="status">
      Loading {what}...
    </div>
  );
}

/** It did not come: why, and a way to try again. */
export function Failure({ error, retry }: { error: Error; retry: () => void }) {
  return (
    <div className="state-box" role="alert">
      <p className="state-title">{error.message}</p>
      <button type="button" className="btn btn-outline-primary" onClick={retry}>
        Retry
      </button>
    </div>
  );
}
