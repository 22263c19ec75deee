import type { Move } from '@bradyon/core/games';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { Choice } from '../../ui/index.ts';
import type { Taps } from './useTaps.ts';
import { useGame } from './useGame.ts';

const NEXT = { first: 'second', second: 'third', third: 'home' } as const;
type From = keyof typeof NEXT;
type End = 'safe' | 'out' | 'error' | 'stays';
const STYLES = [
  { value: 'straight', text: 'First move' },
  { value: 'delayed', text: 'Delayed' },
  { value: 'hop', text: 'Hop' },
  { value: 'dirt', text: 'Dirt ball' },
] as const;
const PITCHES = [
  { value: 'ball', text: 'Ball' },
  { value: 'called', text: 'Called strike' },
  { value: 'swinging', text: 'Swing and miss' },
  { value: 'pitchOut', text: 'Pitch-out' },
] as const;

const THROWS = [
  { value: 'none', text: 'Not seen' },
  { value: 'onLine', text: 'On line' },
  { value: 'offLine', text: 'Off line' },
  { value: 'away', text: 'Away' },
] as const;

/** A steal with the pitch it went with: who went, how it ended, what the pitch was. */
export function StealPanel({ taps, onClose }: { taps: Taps; onClose: () => void }) {
  const { situation, name } = useGame();
  const { bases } = situation;
  const on = (['third', 'second', 'first'] as const).filter((from) => bases[from] !== null);
  // The last one goes unless somebody stands ahead of them: then all go.
  const [ends, setEnds] = useState<Partial<Record<From, End>>>(() =>
    Object.fromEntries(
      on.map((from) => [from, from === on.at(-1) || on.length > 1 ? 'safe' : 'stays']),
    ),
  );
  const [style, setStyle] = useState<(typeof STYLES)[number]['value']>('straight');
  const [pitch, setPitch] = useState<(typeof PITCHES)[number]['value']>('ball');
  const [thrown, setThrown] = useState<(typeof THROWS)[number]['value']>('none');
  const moves = on.flatMap((from): Move[] => {
    const end = ends[from] ?? 'stays';
    if (end === 'stays') return [];
    if (end === 'out') return [{ from, out: NEXT[from] }];
    return [{ from, to: NEXT[from], ...(end === 'error' && { how: 'error' }) }];
  });
  const isDouble = moves.length > 1;
  return (
    <Modal show centered animation={false} onHide={onClose}>
      <Modal.Header closeButton>
        <Modal.Title>Steal</Modal.Title>
      </Modal.Header>
      <Modal.Body className="correct">
        {on.map((from) => (
          <Choice
            key={from}
            showLabel
            label={`${name(bases[from])} to ${NEXT[from]}`}
            value={ends[from] ?? 'stays'}
            options={[
              { value: 'safe', text: 'Safe' },
              { value: 'out', text: 'Out' },
              { value: 'error', text: 'Safe, error' },
              { value: 'stays', text: 'Stayed' },
            ]}
            onChange={(end) => {
              setEnds({ ...ends, [from]: end });
            }}
          />
        ))}
        <Choice label="The pitch" showLabel value={pitch} options={PITCHES} onChange={setPitch} />
        <Choice label="The throw" showLabel value={thrown} options={THROWS} onChange={setThrown} />
        <Choice label="How" showLabel value={style} options={STYLES} onChange={setStyle} />
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          Cancel
        </Button>
        <Button
          disabled={moves.length === 0}
          onClick={() => {
            taps.steal(
              moves,
              { style: isDouble ? 'double' : style, ...(thrown !== 'none' && { throw: thrown }) },
              pitch === 'pitchOut' ? { result: 'ball', pitchOut: true } : { result: pitch },
            );
            onClose();
          }}
        >
          Save
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
