import type { GamePosition, Side } from '@bradyon/core/games';
import type { PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { Choice, PickOne } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { GAME_POSITIONS } from './lineUps.ts';
import { useGame } from './useGame.ts';

const BENCH_WORDS = { available: '', mayReturn: ', may return', done: ', done' } as const;

/** Somebody comes in, changes position, or runs for the pitcher or the catcher. */
export function SubPanel({ onClose }: { onClose: () => void }) {
  const game = useGame();
  const { situation, now, ours, theirs, weBat, person, name, tell } = game;
  const [side, setSide] = useState<Side>(ours);
  const [out, setOut] = useState<PersonId | ''>('');
  const [into, setInto] = useState<PersonId | ''>('');
  const [pos, setPos] = useState<string>('same');
  const flex = situation.flex[side];
  const inGame = [...situation.order[side], ...(flex ? [flex] : [])];
  const bench = Object.entries(situation.bench[side]) as [PersonId, keyof typeof BENCH_WORDS][];
  const label = (id: PersonId): string => {
    const found = person(id);
    return found ? personLabel(found) : name(id);
  };
  const positionOf = (id: PersonId): string =>
    Object.entries(situation.defence[side]).find(([, who]) => who === id)?.[0] ?? '';
  const isSwitch = into === '' && out !== '' && pos !== 'same';
  const battingSide = weBat ? ours : theirs;
  const runnerBase = (['first', 'second', 'third'] as const).find(
    (base) => situation.bases[base] === out,
  );
  const role = out === '' ? '' : positionOf(out);
  const canCourtesy =
    (now.reading.state?.rules.courtesyRunner ?? false) &&
    side === battingSide &&
    runnerBase !== undefined &&
    (role === 'P' || role === 'C') &&
    into !== '';
  const asPosition = (): { pos?: GamePosition } =>
    pos === 'same' ? {} : { pos: pos === '' ? null : (pos as GamePosition) };
  return (
    <Modal show centered animation={false} onHide={onClose}>
      <Modal.Header closeButton>
        <Modal.Title>Substitution</Modal.Title>
      </Modal.Header>
      <Modal.Body className="correct">
        <Choice
          label="Team"
          value={side}
          options={[
            { value: ours, text: 'Ours' },
            { value: theirs, text: game.opponentName },
          ]}
          onChange={(next) => {
            setSide(next);
            setOut('');
            setInto('');
          }}
        />
        <PickOne
          label="In the game"
          value={out}
          options={[
            { value: '', text: 'Choose' },
            ...inGame.map((id) => ({
              value: id,
              text: `${label(id)}${positionOf(id) === '' ? '' : `, ${positionOf(id)}`}`,
            })),
          ]}
          onChange={(id) => {
            setOut(id as PersonId);
          }}
        />
        <PickOne
          label="Comes in"
          value={into}
          options={[
            { value: '', text: 'Nobody, change position only' },
            ...bench
              .filter(([, state]) => state !== 'done')
              .map(([id, state]) => ({ value: id, text: label(id) + BENCH_WORDS[state] })),
          ]}
          onChange={(id) => {
            setInto(id as PersonId);
          }}
        />
        <PickOne
          label="Position"
          value={pos}
          options={[
            { value: 'same', text: 'The same' },
            ...GAME_POSITIONS.map((each) => ({ value: each, text: each })),
          ]}
          onChange={setPos}
        />
        {isSwitch && (
          <p className="quiet">
            Whoever is at {pos} now takes {name(out)}’s position.
          </p>
        )}
      </Modal.Body>
      <Modal.Footer>
        {canCourtesy && (
          <Button
            variant="outline-primary"
            onClick={() => {
              tell({ kind: 'courtesy', team: side, base: runnerBase, runner: into });
              onClose();
            }}
          >
            Courtesy runner
          </Button>
        )}
        <Button variant="outline-primary" onClick={onClose}>
          Cancel
        </Button>
        <Button
          disabled={out === '' || (into === '' && pos === 'same')}
          onClick={() => {
            if (out === '') return;
            const other = situation.defence[side][pos];
            const moves =
              into === ''
                ? [
                    { in: out, pos: pos as GamePosition },
                    ...(other !== undefined && other !== out && positionOf(out) !== ''
                      ? [{ in: other, pos: positionOf(out) as GamePosition }]
                      : []),
                  ]
                : [{ in: into, for: out, ...asPosition() }];
            tell({ kind: 'sub', team: side, moves });
            onClose();
          }}
        >
          Save
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
