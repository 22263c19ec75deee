import type { Listener } from '@bradyon/core/advice';
import { lazy, Suspense } from 'react';
import Button from 'react-bootstrap/Button';
import { useKeys } from '../../ui/index.ts';
import { filled, type Desk } from './useDesk.ts';
import { LISTENER_WORDS } from './reminderWords.ts';
import { useGame } from './useGame.ts';
import { playWords } from './words.ts';
import type { Reader } from '../signs/index.ts';

// The desk is there sooner without the signs.
const GiveSign = lazy(async () => ({ default: (await import('../signs/index.ts')).GiveSign }));
const WhoMissed = lazy(async () => ({ default: (await import('../signs/index.ts')).WhoMissed }));

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

/** What the team's signs call a play of the desk. */
const SIGN_OF: Readonly<Record<string, string>> = {
  stealSecond: 'steal',
  stealThird: 'steal',
  stealHome: 'steal',
  hopSteal: 'steal',
  delayedSteal: 'delayed',
  sacrifice: 'bunt',
};
const signOf = (play: string): string => SIGN_OF[play] ?? play;
/** So many of the last signs tell how many are live; fewer tell nothing. */
const LAST_SIGNS = 10;

/** What is on, given or taken off; nothing on is said as long and as often. */
export function SignButtons({ desk }: { desk: Desk }) {
  const { situation, weBat, tell, now, name, person } = useGame();
  const { sign, bases } = situation;
  const isOn = sign !== null && sign.play !== 'nothing';
  const nothing = (): void => {
    tell({ kind: 'sign', play: 'nothing', seen: null });
  };
  useKeys({ n: nothing });
  if (!weBat) return null;
  const given = now.events.filter(({ kind }) => kind === 'sign').slice(-LAST_SIGNS);
  const live = given.filter((event) => event.kind === 'sign' && event.play !== 'nothing');
  const readers = [situation.batter, bases.third, bases.second, bases.first].flatMap(
    (id): Reader[] => (id !== null && person(id) ? [{ id, name: name(id) }] : []),
  );
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
      <Suspense>
        {isOn && sign.seen === false && <WhoMissed play={signOf(sign.play)} readers={readers} />}
        <GiveSign
          play={isOn ? signOf(sign.play) : null}
          context={{
            inning: situation.inning,
            outs: Math.min(2, situation.outs),
            bases:
              (bases.first === null ? 0 : 1) +
              (bases.second === null ? 0 : 2) +
              (bases.third === null ? 0 : 4),
          }}
          readers={readers}
          liveShare={given.length < LAST_SIGNS ? null : live.length / given.length}
        />
      </Suspense>
      <Button variant="outline-primary" className="sign-nothing" onClick={nothing}>
        <span>
          Nothing on <kbd aria-hidden="true">N</kbd>
        </span>
        <small>Say: “{desk.decoy}”</small>
      </Button>
    </div>
  );
}
