import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import type { Taps } from './useTaps.ts';

/** Strike three with first base open, or two out: did the catcher hold it? */
export function ThirdStrike({
  result,
  taps,
  onClose,
}: {
  result: 'called' | 'swinging';
  taps: Taps;
  onClose: () => void;
}) {
  const tell = (more: Partial<Parameters<Taps['pitch']>[0]>): void => {
    taps.pitch({ result, ...more });
    onClose();
  };
  return (
    <Modal show centered animation={false} onHide={onClose}>
      <Modal.Header closeButton>
        <Modal.Title>Strike three</Modal.Title>
      </Modal.Header>
      <Modal.Body className="third-strike">
        <Button
          autoFocus
          onClick={() => {
            tell({});
          }}
        >
          Held, batter out
        </Button>
        <Button
          variant="outline-primary"
          onClick={() => {
            tell({ dropped: true });
          }}
        >
          Dropped, out at first
        </Button>
        <Button
          variant="outline-primary"
          onClick={() => {
            tell({
              dropped: true,
              away: 'wildPitch',
              runners: [{ from: 'batter', to: 'first' }],
            });
          }}
        >
          Got away, safe at first
        </Button>
      </Modal.Body>
    </Modal>
  );
}
