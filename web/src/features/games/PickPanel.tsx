import type { Move } from '@bradyon/core/games';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { Choice } from '../../ui/index.ts';
import type { Taps } from './useTaps.ts';
import { useGame } from './useGame.ts';

const NEXT = { first: 'second', second: 'third', third: 'home' } as const;
type From = keyof typeof NEXT;

/** A throw over that was more than a throw over: out, away, or by the catcher. */
export function PickPanel({ taps, onClose }: { taps: Taps; onClose: () => void }) {
  const { situation, name } = useGame();
  const on = (['first', 'second', 'third'] as const).filter(
    (base) => situation.bases[base] !== null,
  );
  const [base, setBase] = useState<From>(on[0] ?? 'first');
  const [by, setBy] = useState<'P' | 'C'>('P');
  const tell = (result: 'back' | 'out' | 'wild'): void => {
    const runners: Move[] =
      result === 'wild' ? on.toReversed().map((from) => ({ from, to: NEXT[from] })) : [];
    taps.tell({
      kind: 'pick',
      base,
      by,
      result,
      ...(runners.length > 0 && { runners }),
    });
    onClose();
  };
  return (
    <Modal show centered animation={false} onHide={onClose}>
      <Modal.Header closeButton>
        <Modal.Title>Pickoff throw</Modal.Title>
      </Modal.Header>
      <Modal.Body className="correct">
        <Choice
          label="At"
          showLabel
          value={base}
          options={on.map((value) => ({
            value,
            text: `${value}, ${name(situation.bases[value])}`,
          }))}
          onChange={setBase}
        />
        <Choice
          label="By"
          showLabel
          value={by}
          options={[
            { value: 'P', text: 'Pitcher' },
            { value: 'C', text: 'Catcher' },
          ]}
          onChange={setBy}
        />
      </Modal.Body>
      <Modal.Footer className="pick-ways">
        <Button
          onClick={() => {
            tell('back');
          }}
        >
          Back safely
        </Button>
        <Button
          onClick={() => {
            tell('out');
          }}
        >
          Picked off
        </Button>
        <Button
          variant="outline-primary"
          onClick={() => {
            tell('wild');
          }}
        >
          Got away, runners up one
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
