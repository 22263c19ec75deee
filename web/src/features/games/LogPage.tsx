import { recordsOf, situationOf, type GameEvent } from '@bradyon/core/games';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { Empty, FormField, notify, useTitle } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './GamePage.scss';
import { liveGame } from './liveGame.ts';
import { OpenedGame } from './OpenedGame.tsx';
import { EntryDialog, useLog } from './PitchLog.tsx';
import { PLACE_WORDS } from './places.ts';
import { inningWords } from './situationWords.ts';
import { CODES, tellingOf } from './typedLog.ts';
import { useGame } from './useGame.ts';
import { entryWords } from './words.ts';

/** Every entry of the game, each to be changed where it stands; and a way to type in what paper kept. */
export function LogPage() {
  useTitle('Log');
  return (
    <OpenedGame>
      <div className="page-head">
        <h1>Log</h1>
        <Link className="btn btn-outline-primary" to=".." relative="path">
          Back to the game
        </Link>
      </div>
      <TypeIn />
      <Log />
    </OpenedGame>
  );
}

function Log() {
  const team = useTeam();
  const { name, now, game } = useGame();
  const unsent = useStore(liveGame(team.id, game.id), (live) => live.unsent);
  const log = useLog();
  // Who was up, for whatever was a play.
  const batters = new Map(
    recordsOf(now.reading.state).map(({ event, batter }) => [event.id, name(batter)]),
  );
  const [open, setOpen] = useState<GameEvent | null>(null);
  if (log.length === 0) return <Empty title="Nothing has happened yet." />;
  const halves = new Map<string, typeof log>();
  for (const line of log) {
    const half = /^(?:\d+:)?([TB]\d+)/.exec(line.event.slot)?.[1] ?? '';
    const own = halves.get(half);
    if (own) own.push(line);
    else halves.set(half, [line]);
  }
  return (
    <div className="log-halves">
      {[...halves].toReversed().map(([half, lines]) => (
        <section key={half} className="card-box">
          <h2>{half.startsWith('T') ? `Top ${half.slice(1)}` : `Bottom ${half.slice(1)}`}</h2>
          <ol className="log-list">
            {lines.map(({ event, flag }) => (
              <li key={event.id}>
                <button
                  type="button"
                  className={flag === null ? 'log-line' : 'log-line log-line-flagged'}
                  onClick={() => {
                    setOpen(event);
                  }}
                >
                  <span>
                    <strong>{batters.get(event.id)}</strong> {entryWords(event, name)}
                  </span>
                  <small>
                    {PLACE_WORDS[event.place]}
                    {unsent.has(event.id) && ', not sent yet'}
                    {flag !== null && `. Not counted: ${flag}`}
                  </small>
                </button>
              </li>
            ))}
          </ol>
        </section>
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

/** What the pencil wrote, typed pitch by pitch. */
function TypeIn() {
  const team = useTeam();
  const { situation, game, tell } = useGame();
  const [text, setText] = useState('');
  const [error, setError] = useState<string | undefined>(undefined);
  const submit = (): void => {
    const codes = text.split(/\s+/).filter((code) => code !== '');
    if (codes.length === 0) {
      setError('Type what the paper says: b c f 1/LF.');
      return;
    }
    const live = liveGame(team.id, game.id);
    for (const [index, code] of codes.entries()) {
      const { state, flagged } = live.getState().stands.reading;
      if (!state || !situationOf(state).open) return;
      const found = tellingOf(code, state);
      const before = flagged.length;
      if (found.ok) tell(found.telling, { quiet: true });
      const flags = live.getState().stands.reading.flagged;
      if (!found.ok || flags.length > before) {
        // What came before it is in; the rest stays to be mended.
        setText(codes.slice(index).join(' '));
        setError(found.ok ? `“${code}” does not fit here. Check what came before.` : found.message);
        return;
      }
    }
    setText('');
    setError(undefined);
    notify(`${String(codes.length)} entries added.`);
  };
  return (
    <Form
      noValidate
      className="card-box type-in"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <FormField
        label="Type in from paper"
        error={error}
        hint={`Goes in at ${inningWords(situation).toLowerCase()}, ${String(situation.outs)} out, ${String(situation.balls)}–${String(situation.strikes)}.`}
      >
        {(field) => (
          <Form.Control
            {...field}
            placeholder="b c f 1/LF sb b g/SS"
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            value={text}
            onChange={({ target }) => {
              setText(target.value);
            }}
          />
        )}
      </FormField>
      <Button type="submit">Add</Button>
      <details className="type-in-codes">
        <summary>Codes</summary>
        <dl>
          {CODES.map(({ code, words }) => (
            <div key={code}>
              <dt>{code}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
      </details>
    </Form>
  );
}
