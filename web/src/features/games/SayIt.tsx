import type { Listener } from '@bradyon/core/advice';
import Button from 'react-bootstrap/Button';
import { useKeys } from '../../ui/index.ts';
import { filled, type Desk } from './useDesk.ts';
import { LISTENER_WORDS } from './reminderWords.ts';
import { useGame } from './useGame.ts';
import { playWords } from './words.ts';
/** The line for the runner, then what is worth saying to each. */
export function SayIt({
  desk,
  listeners,
}: {
  desk: Desk;
  /** Whose reminders are shown. */
  listeners: readonly Listener[];
}) {
  const { said, line } = desk;
  const { situation, weBat } = useGame();
  const groups = listeners
    .map((to) => ({ to, lines: said.filter(({ reminder }) => reminder.to === to) }))
    .filter(({ lines }) => lines.length > 0);
  const anybodyOn = Object.values(situation.bases).some((id) => id !== null);
  return (
    <section className="say" aria-label="Say it">
      {weBat && anybodyOn && (
        <>
          <h2>Say it</h2>
          <p className="say-line">“{line}”</p>
        </>
      )}
      {groups.map(({ to, lines }) => (
        <div key={to} className="say-group">
          <h3>{LISTENER_WORDS[to]}</h3>
          <ul>
            {lines.map(({ reminder }) => (
              <li key={reminder.id}>
                <details>
                  <summary>{filled(reminder.say, desk.figures)}</summary>
                  {reminder.why}
                </details>
              </li>
            ))}
          </ul>
        </div>
      ))}
      {groups.length === 0 && !anybodyOn && (
        <p className="quiet">Nothing to say before this pitch.</p>
      )}
    </section>
  );
}

/** What is on, given or taken off; nothing on is said as long and as often. */
export function SignButtons({ desk }: { desk: Desk }) {
  const { situation, weBat, tell } = useGame();
  const { sign } = situation;
  const isOn = sign !== null && sign.play !== 'nothing';
  const nothing = (): void => {
    tell({ kind: 'sign', play: 'nothing', seen: null });
  };
  useKeys({ n: nothing });
  if (!weBat) return null;
  return (
    <div className="sign-buttons">
      {isOn ? (
        <>
          <p className="sign-on">
            <strong>{playWords(sign.play)}</strong> is on.
          </p>
          <div className="more-row">
            {(['seen', 'missed'] as const).map((how) => (
              <Button
                key={how}
                variant="outline-primary"
                aria-pressed={sign.seen === (how === 'seen')}
                onClick={() => {
                  tell({ kind: 'sign', play: sign.play, seen: how === 'seen' });
                }}
              >
                {how === 'seen' ? 'Sign seen' : 'Sign missed'}
              </Button>
            ))}
          </div>
        </>
      ) : (
        <p className="sign-on quiet">{sign === null ? 'No sign given.' : 'Nothing on.'}</p>
      )}
      <Button variant="outline-primary" className="sign-nothing" onClick={nothing}>
        <span>
          Nothing on <kbd aria-hidden="true">N</kbd>
        </span>
        <small>Say: “{desk.decoy}”</small>
      </Button>
    </div>
  );
}
