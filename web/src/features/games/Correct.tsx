import type { EventOf } from '@bradyon/core/games';
import type { PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { Choice, PickOne, Stepper } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { useGame } from './useGame.ts';

type Set = EventOf<'correction'>['set'];

const MOST_INNING = 30;
const MOST_RUNS = 60;

/** Sets by hand what went wrong in the book. Only what is changed is told. */
export function Correct({ onClose }: { onClose: () => void }) {
  const game = useGame();
  const { situation, ours, theirs, weBat, people, tell } = game;
  const [set, change] = useState<Set>({});
  const now = { ...situation, ...set };
  const runs = { ...situation.runs, ...set.runs };
  const bases = { ...situation.bases, ...set.bases };
  const side = weBat ? ours : theirs;
  const players = [...situation.order[side], ...Object.keys(situation.bench[side])].flatMap(
    (id) => people.find((person) => person.id === id) ?? [],
  );
  const options = [
    { value: '', text: 'Nobody' },
    ...players.map((person) => ({ value: person.id, text: personLabel(person) })),
  ];
  const isSet = Object.keys(set).length > 0;
  return (
    <Modal show centered animation={false} onHide={onClose} scrollable>
      <Modal.Header closeButton>
        <Modal.Title>Correct the book</Modal.Title>
      </Modal.Header>
      <Modal.Body className="correct">
        <Stepper
          label="Inning"
          value={now.inning}
          min={1}
          max={MOST_INNING}
          step={1}
          text={String}
          onChange={(inning) => {
            change({ ...set, inning });
          }}
        />
        <Choice
          label="Half"
          showLabel
          value={now.half}
          options={[
            { value: 'top', text: 'Top' },
            { value: 'bottom', text: 'Bottom' },
          ]}
          onChange={(half) => {
            change({ ...set, half });
          }}
        />
        {[
          { who: ours, label: 'Our runs' },
          { who: theirs, label: 'Their runs' },
        ].map(({ who, label }) => (
          <Stepper
            key={label}
            label={label}
            value={runs[who]}
            min={0}
            max={MOST_RUNS}
            step={1}
            text={String}
            onChange={(value) => {
              change({ ...set, runs: { ...set.runs, [who]: value } });
            }}
          />
        ))}
        <Figures
          label="Outs"
          most={2}
          value={now.outs}
          onChange={(outs) => {
            change({ ...set, outs });
          }}
        />
        <Figures
          label="Balls"
          most={3}
          value={now.balls}
          onChange={(balls) => {
            change({ ...set, balls });
          }}
        />
        <Figures
          label="Strikes"
          most={2}
          value={now.strikes}
          onChange={(strikes) => {
            change({ ...set, strikes });
          }}
        />
        {(['first', 'second', 'third'] as const).map((base) => (
          <PickOne
            key={base}
            label={`On ${base}`}
            value={bases[base] ?? ''}
            options={options}
            onChange={(id) => {
              const runner = id === '' ? null : (id as PersonId);
              change({ ...set, bases: { ...set.bases, [base]: runner } });
            }}
          />
        ))}
        <PickOne
          label="At bat"
          value={now.batter}
          options={options.slice(1)}
          onChange={(id) => {
            change({ ...set, batter: id as PersonId });
          }}
        />
        {situation.over && (
          <Button
            variant="outline-primary"
            onClick={() => {
              tell({ kind: 'correction', set: { over: false } });
              onClose();
            }}
          >
            Play goes on
          </Button>
        )}
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          Cancel
        </Button>
        <Button
          disabled={!isSet}
          onClick={() => {
            tell({ kind: 'correction', set });
            onClose();
          }}
        >
          Save
        </Button>
      </Modal.Footer>
    </Modal>
  );
}

/** A small figure, one tap away. */
function Figures({
  label,
  most,
  value,
  onChange,
}: {
  label: string;
  most: number;
  value: number;
  onChange: (value: number) => void;
}) {
  return (
    <Choice
      label={label}
      showLabel
      value={String(Math.min(most, value))}
      options={Array.from({ length: most + 1 }, (_, figure) => ({
        value: String(figure),
        text: String(figure),
      }))}
      onChange={(text) => {
        onChange(Number(text));
      }}
    />
  );
}
