import { ChevronDown } from 'lucide-react';
import { useId, useState, type ReactNode } from 'react';
import './Folded.scss';

/** Controls that a phone keeps behind one line saying what is chosen, so that the answer comes first. */
export function Folded({ chosen, children }: { chosen: string; children: ReactNode }) {
  const id = useId();
  const [isOpen, setOpen] = useState(false);
  return (
    <div className="folded no-print">
      <button
        type="button"
        className="folded-line"
        aria-expanded={isOpen}
        aria-controls={id}
        onClick={() => {
          setOpen(!isOpen);
        }}
      >
        <span>{chosen}</span>
        <ChevronDown size={20} aria-hidden="true" />
      </button>
      <div id={id} className={isOpen ? 'folded-all folded-open' : 'folded-all'}>
        {children}
      </div>
    </div>
  );
}
