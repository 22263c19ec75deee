import { Printer } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import { Choice } from './Choice.tsx';
import './Sheet.scss';

const PAPERS = ['letter', 'a4', 'pocket'] as const;
export type Paper = (typeof PAPERS)[number];
const PAPER_TEXT: Record<Paper, string> = { letter: 'Letter', a4: 'A4', pocket: 'Pocket' };

/**
 * What prints: black on white, one side of one sheet. On the screen it lies there as it will come
 * out; nothing else of the page is printed.
 */
export function Sheet({
  title,
  children,
}: {
  title: string;
  children: (paper: Paper) => ReactNode;
}) {
  const [paper, setPaper] = useState<Paper>('letter');
  return (
    <div className="sheet-page">
      <div className="sheet-tools">
        <Choice
          label="Paper"
          value={paper}
          options={PAPERS.map((value) => ({ value, text: PAPER_TEXT[value] }))}
          onChange={setPaper}
        />
        <Button
          onClick={() => {
            window.print();
          }}
        >
          <Printer size={18} aria-hidden="true" /> Print
        </Button>
      </div>
      {/* Focusable: on a phone it is wider than the screen, and scrolls by the keys too. */}
      <article className={`sheet sheet-${paper}`} aria-label={title} tabIndex={0}>
        {children(paper)}
      </article>
    </div>
  );
}
