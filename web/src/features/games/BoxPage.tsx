import { boxOf, countsOf, type Side } from '@bradyon/core/games';
import type { PersonId } from '@bradyon/core/units';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { longDate, useTitle } from '../../ui/index.ts';
import { download, makeTable } from '../files/index.ts';
import { personLabel, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { gameFileOf, pitchRows } from './gameFile.ts';
import './GamePage.scss';
import './GamesPage.scss';
import { OpenedGame } from './OpenedGame.tsx';
import { standsWords } from './standsWords.ts';
import { useGame } from './useGame.ts';

/** What a game came to: line score, who did what, outs on the bases, and the files of it. */
export function BoxPage() {
  useTitle('Box');
  return (
    <OpenedGame>
      <BoxOf />
    </OpenedGame>
  );
}

const OUT_WORDS = { steal: 'stealing', pick: 'picked off', play: 'on a play' } as const;

function BoxOf() {
  const team = useTeam();
  const game = useGame();
  const { opponents } = usePeople(team.id);
  const { situation, now, ours, opponentName, name } = game;
  const { state } = now.reading;
  const box = boxOf(state);
  const counts = countsOf(state);
  const sides: Side[] = ['away', 'home'];
  const called = (side: Side): string => (side === ours ? team.name : opponentName);
  const innings = Math.max(situation.line.away.length, situation.line.home.length, 1);
  const fileName = `game-${game.game.startsAt.slice(0, 10)}`;
  const hits = (side: Side): number => {
    const { single, double, triple, homeRun } = counts[side].outcomes;
    return single + double + triple + homeRun;
  };
  return (
    <>
      <div className="page-head">
        <h1>
          {standsWords(situation, ours)} {game.game.weAreHome ? 'against' : 'at'} {opponentName}
        </h1>
        <span className="quiet">{longDate(game.game.startsAt)}</span>
        <div className="more-row">
          <Link className="btn btn-primary" to="../review" relative="path">
            Review
          </Link>
          <Link className="btn btn-outline-primary" to="../log" relative="path">
            Log
          </Link>
          <Button
            variant="outline-primary"
            onClick={() => {
              const file = gameFileOf(game, team, opponents);
              download(`${fileName}.json`, JSON.stringify(file, null, 1), 'application/json');
            }}
          >
            Export game
          </Button>
          <Button
            variant="outline-primary"
            onClick={() => {
              download(`${fileName}-pitches.csv`, makeTable(pitchRows(game, team.id)), 'text/csv');
            }}
          >
            Export pitches
          </Button>
        </div>
      </div>
      {/* Extra innings scroll. */}
      <section className="card-box box-line" aria-label="Line score" tabIndex={0}>
        <table>
          <thead>
            <tr>
              <th scope="col">Team</th>
              {Array.from({ length: innings }, (_, index) => (
                <th key={index} scope="col">
                  {index + 1}
                </th>
              ))}
              <th scope="col">R</th>
              <th scope="col">H</th>
              <th scope="col">E</th>
            </tr>
          </thead>
          <tbody>
            {sides.map((side) => (
              <tr key={side}>
                <th scope="row">{called(side)}</th>
                {Array.from({ length: innings }, (_, index) => (
                  <td key={index}>{situation.line[side][index] ?? ''}</td>
                ))}
                <td className="figure">{situation.runs[side]}</td>
                <td className="figure">{hits(side)}</td>
                <td className="figure">{counts[side].errors}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <div className="game-lineups">
        {sides.map((side) => (
          <section key={side} className="card-box box-side" aria-label={called(side)}>
            <h2>{called(side)}</h2>
            <table>
              <thead>
                <tr>
                  <th scope="col">Player</th>
                  {['PA', 'H', 'R', 'BB', 'SO', 'SB', 'CS'].map((head) => (
                    <th key={head} scope="col">
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {box.lines[side].map((line) => (
                  <tr key={line.id}>
                    <th scope="row">{labelOf(line.id)}</th>
                    <td>{line.plateAppearances}</td>
                    <td>{line.hits}</td>
                    <td>{line.runs}</td>
                    <td>{line.walks}</td>
                    <td>{line.strikeouts}</td>
                    <td>{line.stolen}</td>
                    <td>{line.caughtStealing}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        ))}
      </div>
      <section className="card-box" aria-label="Outs on the bases">
        <h2>Outs on the bases</h2>
        {box.outsOnBases.length === 0 ? (
          <p className="quiet">None. Nobody was thrown out running.</p>
        ) : (
          <ul className="box-outs">
            {box.outsOnBases.map((out, index) => (
              <li key={index}>
                Inning {out.inning}: {name(out.runner)} out at {out.at}, {OUT_WORDS[out.kind]} (
                {called(out.side)})
              </li>
            ))}
          </ul>
        )}
      </section>
    </>
  );

  function labelOf(id: PersonId): string {
    const person = game.person(id);
    return person ? personLabel(person) : name(id);
  }
}
