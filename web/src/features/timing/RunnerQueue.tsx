import type { Person } from '@bradyon/core/people';
import { ListChecks, Repeat } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { personLabel } from '../people/index.ts';
import { resolveQueue, toggled, type Queue } from './queueStore.ts';
import './RunnerQueue.scss';

/** Who runs next: the line, with whose turn it is. */
export function RunnerQueue({
  runners,
  queue,
  onChange,
}: {
  runners: readonly Person[];
  queue: Queue;
  onChange: (queue: Queue) => void;
}) {
  const [editing, setEditing] = useState(false);
  const { line, current } = resolveQueue(queue, runners);
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const chip = row.current?.querySelector('[aria-current=true]');
    if (row.current && chip instanceof HTMLElement) {
      row.current.scrollLeft = chip.offsetLeft - row.current.offsetLeft - 40;
    }
  }, [current]);
  return (
    <div className="queue">
      <div className="queue-row" ref={row} role="group" aria-label="Line of runners">
        {(editing ? runners : line).map((person) => (
          <button
            key={person.id}
            type="button"
            className="queue-chip"
            {...(editing
              ? { 'aria-pressed': !queue.out.includes(person.id) }
              : { 'aria-current': person === current })}
            onClick={() => {
              onChange(editing ? toggled(queue, person.id) : { ...queue, at: person.id });
            }}
          >
            {personLabel(person)}
          </button>
        ))}
      </div>
      <Button
        variant="outline-primary"
        active={queue.advances}
        aria-pressed={queue.advances}
        onClick={() => {
          onChange({ ...queue, advances: !queue.advances });
        }}
      >
        <Repeat size={18} aria-hidden="true" /> Auto next
      </Button>
      <Button
        variant="outline-primary"
        active={editing}
        aria-pressed={editing}
        onClick={() => {
          setEditing(!editing);
        }}
      >
        <ListChecks size={18} aria-hidden="true" /> Who runs
      </Button>
    </div>
  );
}
