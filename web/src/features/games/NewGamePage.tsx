import { playRulesOf, startLineUp, withBench, type LineUp } from '@bradyon/core/games';
import { byNumber, type Person } from '@bradyon/core/people';
import type { GameId, OpponentId, PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useNavigate } from 'react-router';
import { newId } from '../../api/index.ts';
import { Choice, Failure, FormField, Loading, localMinute, useTitle } from '../../ui/index.ts';
import { useOrder } from '../innings/index.ts';
import { addOpponents, addPeople, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import './GamesPage.scss';
import { LineUpEditor } from './LineUpEditor.tsx';
import { lineUpMisfit, onlyNumber } from './lineUps.ts';
import { tellGame, useGames } from './useGame.ts';
import { useLastLineUps } from './useOpening.ts';
import { gameWrite } from './writes.ts';

const NEW = 'new';

/** Opens a game in under a minute: whom, where, and who bats. */
export function NewGamePage() {
  useTitle('New game');
  const team = useTeam();
  const navigate = useNavigate();
  const { people, opponents, isLoading, error, retry } = usePeople(team.id);
  const games = useGames(team.id);
  const order = useOrder(team.id);
  const active = opponents.filter(({ retired }) => !retired);
  const [picked, setPicked] = useState<string | null>(null);
  const against = picked ?? active[0]?.id ?? NEW;
  const [name, setName] = useState('');
  const [weAreHome, setHome] = useState(false);
  const [startsAt, setStartsAt] = useState(() => localMinute(new Date()));
  // Lineups that were changed by hand; what was not touched follows the last game.
  const [own, setOwn] = useState<LineUp | null>(null);
  const [others, setOthers] = useState<{ of: string; lineUp: LineUp } | null>(null);
  const [newOpponentId] = useState(() => newId<OpponentId>());
  const [tried, setTried] = useState(false);

  const opponentId = against === NEW ? newOpponentId : (against as OpponentId);
  const last = useLastLineUps(team.id, games.games, against === NEW ? null : opponentId);
  if (error) return <Failure error={error} retry={retry} />;
  if (isLoading || order.isLoading || games.isLoading || last.isLoading)
    return <Loading what="your players" />;

  const sideOf = (id: OpponentId | null): Person[] =>
    people.filter((person) => person.opponentId === id && !person.retired).toSorted(byNumber);
  const ourPeople = sideOf(null);
  const theirPeople = sideOf(opponentId);
  const ours = own ?? startLineUp(ourPeople, { last: last.ours, order: order.ids });
  const theirs =
    others?.of === against
      ? others.lineUp
      : startLineUp(theirPeople, { last: last.theirs, order: [] });

  const byNumbers = (
    of: OpponentId | null,
    roster: readonly Person[],
    numbers: readonly string[],
    ids: readonly (PersonId | null)[],
  ): LineUp => {
    if (of !== null) ensureOpponent();
    const fresh = numbers.flatMap((number, index) =>
      ids[index] === null ? [onlyNumber(newId<PersonId>(), of, number)] : [],
    );
    if (fresh.length > 0) addPeople(team.id, fresh);
    const all = [...roster, ...fresh];
    const inOrder = numbers.flatMap(
      (number, index) => ids[index] ?? fresh.find((person) => person.number === number)?.id ?? [],
    );
    return withBench(startLineUp(all, { last: null, order: inOrder }), all);
  };
  const ensureOpponent = (): void => {
    if (against !== NEW || opponents.some(({ id }) => id === newOpponentId)) return;
    const row = { id: newOpponentId, name: name.trim() || 'Opponent', retired: false };
    addOpponents(team.id, [row]);
    setPicked(newOpponentId);
  };

  const at = new Date(startsAt);
  const timeError = Number.isNaN(at.getTime()) ? 'Enter the day and time.' : undefined;
  const nameError =
    against === NEW && name.trim() === '' ? 'Enter the opponent’s name.' : undefined;
  const misfit = lineUpMisfit(ours) ?? lineUpMisfit(theirs);
  const save = (): void => {
    setTried(true);
    if (timeError !== undefined || nameError !== undefined || misfit !== null) return;
    ensureOpponent();
    const id = newId<GameId>();
    gameWrite.send(team.id, { id, opponentId, startsAt: at.toISOString(), weAreHome });
    const [away, home] = weAreHome ? [theirs, ours] : [ours, theirs];
    tellGame(
      team.id,
      id,
      {
        kind: 'opened',
        rules: playRulesOf(team.ruleset),
        ours: weAreHome ? 'home' : 'away',
        away,
        home,
      },
      { slot: 'T1.1.1' },
    );
    void navigate(`/teams/${team.id}/games/${id}`);
  };

  return (
    <>
      <div className="page-head">
        <h1>New game</h1>
        <Button onClick={save}>Open the game</Button>
      </div>
      <section className="card-box game-who" aria-label="The game">
        <FormField label="Opponent">
          {(field) => (
            <Form.Select
              {...field}
              value={against}
              onChange={({ target }) => {
                setPicked(target.value);
              }}
            >
              {active.map((opponent) => (
                <option key={opponent.id} value={opponent.id}>
                  {opponent.name}
                </option>
              ))}
              <option value={NEW}>New opponent</option>
            </Form.Select>
          )}
        </FormField>
        {against === NEW && (
          <FormField label="Name" error={tried ? nameError : undefined}>
            {(field) => (
              <Form.Control
                {...field}
                value={name}
                maxLength={80}
                autoComplete="off"
                onChange={({ target }) => {
                  setName(target.value);
                }}
              />
            )}
          </FormField>
        )}
        <Choice
          label="We are"
          showLabel
          value={weAreHome ? 'home' : 'away'}
          options={[
            { value: 'away', text: 'Visitors' },
            { value: 'home', text: 'Home' },
          ]}
          onChange={(value) => {
            setHome(value === 'home');
          }}
        />
        <FormField label="First pitch" error={timeError}>
          {(field) => (
            <Form.Control
              {...field}
              type="datetime-local"
              value={startsAt}
              onChange={({ target }) => {
                setStartsAt(target.value);
              }}
            />
          )}
        </FormField>
        <p className="quiet game-rules">
          {team.ruleset.name}. Change it under Team, Rules before you open the game.
        </p>
      </section>
      {tried && misfit && (
        <p className="lineup-editor-misfit" role="alert">
          {misfit}
        </p>
      )}
      <div className="game-lineups">
        <LineUpEditor
          title={team.name}
          people={ourPeople}
          lineUp={ours}
          onChange={setOwn}
          onNumbers={(numbers, ids) => {
            setOwn(byNumbers(null, ourPeople, numbers, ids));
          }}
        />
        <LineUpEditor
          title={
            against === NEW
              ? name.trim() || 'New opponent'
              : (active.find(({ id }) => id === against)?.name ?? 'Opponent')
          }
          people={theirPeople}
          lineUp={theirs}
          onChange={(lineUp) => {
            setOthers({ of: against, lineUp });
          }}
          onNumbers={(numbers, ids) => {
            const lineUp = byNumbers(opponentId, theirPeople, numbers, ids);
            setOthers({ of: opponentId, lineUp });
          }}
        />
      </div>
    </>
  );
}
