import { REASONS, type GameEvent } from '@bradyon/core/games';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { PITCH_WORDS, entryWords } from './words.ts';
import { PLACE_WORDS } from './places.ts';
import { placeWords } from './situationWords.ts';
import { useGame } from './useGame.ts';

/** What is no part of the story of a game. */
const QUIET: readonly string[] = ['undo', 'settle', 'advice', 'reading', 'sign', 'opened'];

/** Everything told that still stands, in order; what is flagged with why. */
export function useLog(): { event: GameEvent; flag: string | null }[] {
  const { now } = useGame();
  const undone = new Set<string>();
  for (const event of now.events.toReversed()) {
    if (event.kind === 'undo' && !undone.has(event.id)) undone.add(event.event);
  }
  const flags = new Map(now.reading.flagged.map(({ id, code }) => [id, REASONS[code]]));
  return now.events
    .filter(({ id, kind }) => !undone.has(id) && !QUIET.includes(kind))
    .map((event) => ({ event, flag: flags.get(event.id) ?? null }));
}

/** The last entries, the newest first; a tap changes one. */
export function PitchLog({ most }: { most: number }) {
  const { name } = useGame();
  const [open, setOpen] = useState<GameEvent | null>(null);
  const log = useLog().slice(-most).toReversed();
  return (
    <div className="pitch-log" aria-label="Latest entries" role="group">
      {log.map(({ event, flag }) => (
        <button
          key={event.id}
          type="button"
          className={flag === null ? 'pitch-chip' : 'pitch-chip pitch-chip-flagged'}
          onClick={() => {
            setOpen(event);
          }}
        >
          {entryWords(event, name)}
          {flag !== null && <small>not counted</small>}
        </button>
      ))}
      {open && (
        <EntryDialog
          event={open}
          onClose={() => {
            setOpen(null);
          }}
        />
      )}
    </div>
  );
}

/** One entry: what it says, who told it, and the ways to change it where it stands. */
export function EntryDialog({ event, onClose }: { event: GameEvent; onClose: () => void }) {
  const { name, undo, tell, now } = useGame();
  const flag = now.reading.flagged.find(({ id }) => id === event.id);
  const change = (result: string): void => {
    tell({ kind: 'undo', event: event.id }, { quiet: true });
    // The same place: what follows stays where it is.
    tell({ kind: 'pitch', result: result as 'ball' }, { slot: event.slot });
    onClose();
  };
  return (
    <Modal show centered animation={false} onHide={onClose}>
      <Modal.Header closeButton>
        <Modal.Title>{entryWords(event, name)}</Modal.Title>
      </Modal.Header>
      <Modal.Body className="entry-dialog">
        <p className="quiet">
          {placeWords(event.slot)}, from {PLACE_WORDS[event.place].toLowerCase()}
        </p>
        {flag && <p className="entry-flag">Not counted. {REASONS[flag.code]}</p>}
        {event.kind === 'pitch' && event.result !== 'inPlay' && (
          <>
            <h3>Change it to</h3>
            <div className="more-row">
              {['ball', 'called', 'swinging', 'foul', 'hitByPitch', 'noPitch']
                .filter((result) => result !== event.result)
                .map((result) => (
                  <Button
                    key={result}
                    variant="outline-primary"
                    onClick={() => {
                      change(result);
                    }}
                  >
                    {PITCH_WORDS[result]}
                  </Button>
                ))}
            </div>
          </>
        )}
      </Modal.Body>
      <Modal.Footer>
        <Button
          variant="outline-primary"
          onClick={() => {
            undo(event.id);
            onClose();
          }}
        >
          Delete it
        </Button>
        <Button onClick={onClose}>Done</Button>
      </Modal.Footer>
    </Modal>
  );
}
