import type { ReactNode } from 'react';
import { Mark } from './Mark.tsx';
import './FrontPage.scss';

/** The frame of the pages that come before a team: what Bradyon is, and beside it what to do. */
export function FrontPage({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="front">
      <section className="front-about">
        <svg className="front-field" viewBox="0 0 200 200" aria-hidden="true">
          <path d="M100 190 10 100 100 10 190 100Z" />
          <path d="M100 190 10 100M100 190 190 100" className="front-line" />
          <path d="M14 96a122 122 0 0 1 172 0" className="front-grass" />
          <circle cx="100" cy="118" r="7" />
        </svg>
        <div className="front-name">
          <Mark size={52} />
          <span>Bradyon</span>
        </div>
        <p className="front-words">
          Time the pitcher, the catcher and the runner with one thumb. Know if the runner makes it.
        </p>
      </section>
      <section className="front-work">
        <h1>{title}</h1>
        {children}
      </section>
    </main>
  );
}
