import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { outbox, session } from '../../api/index.ts';
import { signOut } from './useAccount.ts';

/**
 * Signs out. Only when something has not reached the server does it ask what becomes of that; it
 * never bars the way.
 */
export function SignOutDialog({ onClose }: { onClose: () => void }) {
  /** How many have not arrived; null: being counted. */
  const [unsent, setUnsent] = useState<number | null>(null);
  const leave = async (what: 'discard' | 'keep'): Promise<void> => {
    await signOut(what);
    // A page that begins afresh has nothing of the team in its memory either.
    location.assign('/sign-in');
  };
  useEffect(() => {
    const accountId = session.getState().account?.id;
    void (async () => {
      const count = accountId ? await outbox.unsent(accountId) : 0;
      if (count > 0) setUnsent(count);
      else await leave('discard');
    })();
    // Once, when it is asked for.
  }, []);
  if (unsent === null) return null;
  const times = unsent === 1 ? 'One tap has' : `${String(unsent)} taps have`;
  return (
    <Modal show centered animation={false} onHide={onClose}>
      <Modal.Header closeButton>
        <Modal.Title>{times} not reached the server</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        Keep them and they are sent when you sign in here again. Until then, anyone with this device
        can read them.
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          Stay signed in
        </Button>
        <Button variant="outline-primary" onClick={() => void leave('discard')}>
          Delete them and sign out
        </Button>
        <Button onClick={() => void leave('keep')}>Keep them and sign out</Button>
      </Modal.Footer>
    </Modal>
  );
}
