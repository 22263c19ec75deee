import type { PersonId, TeamId } from '@bradyon/core/units';
import { RotateCcw, Trash2 } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { outbox, reassigned, wordsOf, type Entry } from '../../api/index.ts';
import { longDate } from '../../ui/index.ts';
import { PersonSelect, usePeople } from '../people/index.ts';

/** What the server refused, with its reason: to mend, to send once more, or to delete. */
export function TrayDialog({
  entries,
  others,
  onClose,
}: {
  entries: readonly Entry[];
  /** Other coaches whose taps wait here. */
  others: readonly string[];
  onClose: () => void;
}) {
  return (
    <Modal show centered animation={false} onHide={onClose} scrollable>
      <Modal.Header closeButton>
        <Modal.Title>Not saved</Modal.Title>
      </Modal.Header>
      <Modal.Body className="tray">
        {entries.length === 0 && <p className="quiet">All your taps are saved.</p>}
        <ul>
          {entries.map((entry) => (
            <TrayRow key={entry.key} entry={entry} />
          ))}
        </ul>
        {others.length > 0 && (
          <p className="quiet">
            Taps of {others.join(' and ')} are waiting on this device. They are sent when that coach
            signs in here.
          </p>
        )}
      </Modal.Body>
    </Modal>
  );
}

/** When it was tapped stands at the head of its key. */
const tappedAt = ({ key }: Entry): string => new Date(Number(key.slice(0, 15))).toISOString();

function TrayRow({ entry }: { entry: Entry }) {
  const canReassign = entry.teamId !== null && reassigned(entry, '') !== null;
  return (
    <li>
      <p>
        <strong>{wordsOf(entry)}</strong> <span className="quiet">{longDate(tappedAt(entry))}</span>
        <span className="tray-why">{entry.refused}</span>
      </p>
      <div className="tray-ways">
        {canReassign && entry.teamId && <Reassign entry={entry} teamId={entry.teamId} />}
        <Button variant="outline-primary" onClick={() => void outbox.retry(entry.key)}>
          <RotateCcw size={18} aria-hidden="true" /> Retry
        </Button>
        <Button variant="outline-primary" onClick={() => void outbox.discard([entry.key])}>
          <Trash2 size={18} aria-hidden="true" /> Delete
        </Button>
      </div>
    </li>
  );
}

/** The player it was for may be gone: it was perhaps another's. */
function Reassign({ entry, teamId }: { entry: Entry; teamId: TeamId }) {
  const { people } = usePeople(teamId);
  const [pickedId, setPickedId] = useState<PersonId | null>(null);
  const active = people.filter(({ retired }) => !retired);
  if (active.length === 0) return null;
  return (
    <PersonSelect
      label="Save it for"
      people={active}
      value={active.find(({ id }) => id === pickedId) ?? null}
      onChange={(id) => {
        setPickedId(id);
        void outbox.retry(entry.key, reassigned(entry, id));
      }}
    />
  );
}
