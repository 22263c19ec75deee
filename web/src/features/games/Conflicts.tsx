import Button from 'react-bootstrap/Button';
import { PLACE_WORDS } from './places.ts';
import { placeWords } from './situationWords.ts';
import { useGame } from './useGame.ts';
import { entryWords } from './words.ts';

/** Two devices say different things of one pitch: side by side, settled with one tap. */
export function Conflicts() {
  const { now, name, tell } = useGame();
  const open = now.reading.conflicts.filter(({ settled }) => !settled);
  const [first] = open;
  if (!first) return null;
  return (
    <section className="conflict" role="alert" aria-label="Two devices disagree">
      <p>
        <strong>{placeWords(first.slot)}.</strong> Which is right?
        {open.length > 1 && ` ${String(open.length - 1)} more after this.`}
      </p>
      <div className="conflict-ways">
        {first.events.map((id) => {
          const event = now.events.find((each) => each.id === id);
          if (!event) return null;
          return (
            <Button
              key={id}
              variant={id === first.holds ? 'primary' : 'outline-primary'}
              onClick={() => {
                tell({ kind: 'settle', event: id }, { quiet: true });
              }}
            >
              {PLACE_WORDS[event.place]}: {entryWords(event, name)}
            </Button>
          );
        })}
      </div>
    </section>
  );
}
