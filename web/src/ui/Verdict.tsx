import type { Verdict } from '@bradyon/core/steals';
import { ChevronsRight, CircleHelp, Minus, type LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';
import './Verdict.scss';

const VERDICT_WORDS: Record<Verdict, string> = {
  go: 'Go',
  close: 'Close',
  stay: 'Stay',
  untimed: "Can't tell yet",
};

const ICONS: Partial<Record<Verdict, LucideIcon>> = {
  go: ChevronsRight,
  stay: Minus,
  untimed: CircleHelp,
};

/** The verdict as a word and a mark, never by colour alone. */
export function VerdictBadge({ verdict, small = false }: { verdict: Verdict; small?: boolean }) {
  const Icon = ICONS[verdict];
  const mark: ReactNode = Icon ? <Icon aria-hidden="true" strokeWidth={3} /> : <Tilde />;
  return (
    <span className={`verdict verdict-${verdict}${small ? ' verdict-small' : ''}`}>
      {mark}
      <span>{VERDICT_WORDS[verdict]}</span>
    </span>
  );
}

/** The icon set has no tilde; drawn to its grid. */
function Tilde() {
  return (
    <svg width="24" height="24" viewBox="0 0 24 24" aria-hidden="true">
      <path
        d="M3.5 14.5c2-5 5.5-5 8.5-2.5s6.5 2.5 8.5-2.5"
        fill="none"
        stroke="currentColor"
        strokeWidth="3"
        strokeLinecap="round"
      />
    </svg>
  );
}
