import { REASONS, type GameEvent } from '@bradyon/core/games';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { PITCH_WORDS, entryWords } from './words.ts';
import { PLACE_WORDS } from './places.ts';
import { placeWords } from './situationWords.ts';
import { useGame } from './useGame.ts';

/** What is no part of the story of a game. */
const QUIET: readonly string[] = ['settle', 'advice', 'reading', 'sign', 'opened'];

/**
 * What was told and still stands, in order; what is flagged with why.
 * @param most only so many of the last
 */
export function useLog(
  most = Number.POSITIVE_INFINITY,
): { event: GameEvent; flag: string | null }[] {
  const { now } = useGame();
  const flags = new Map(now.reading.flagged.map(({ id, code }) => [id, REASONS[code]]));
  const undone = new Set<string>();
  const log: { event: GameEvent; flag: string | null }[] = [];
  // From the last one back: what takes something back comes after it.
  for (let nth = now.events.length - 1; nth >= 0 && log.length < most; nth -= 1) {
    const event = now.events[nth];
    if (!event || undone.has(event.id)) continue;
    if (event.kind === 'undo') undone.add(event.event);
    else if (!QUIET.includes(event.kind)) log.push({ event, flag: flags.get(event.id) ?? null });
  }
  return log.toReversed();
}

/** The last entries, the newest first; a tap changes one. */
export function PitchLog({ most }: { most: number }) {
  const { name } = useGame();
  const [open, setOpen] = useState<GameEvent | null>(null);
  const log = useLog(most).toReversed();
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
