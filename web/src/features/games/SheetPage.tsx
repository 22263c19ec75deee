import { goCard, questionOf, stealKinds } from '@bradyon/core/steals';
import { pitchesFor } from '@bradyon/core/race';
import { SHIPPED } from '@bradyon/core/advice';
import type { Side } from '@bradyon/core/games';
import { distance, longDate, Sheet, useTitle } from '../../ui/index.ts';
import { orTypical, personLabel } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';
import './GamePage.scss';
import { OpenedGame } from './OpenedGame.tsx';
import { useGame } from './useGame.ts';

const TO_EACH_SIDE = 2;
const ROWS = 12;
/** The reminders that paper has room for: those a coach of either box says most. */
const ON_PAPER = ['f-back', 'f-line', 'f-dirt', 's-eyes', 's-right', 't-tag', 't-land', 'c3-two'];

/** What replaces the screen where devices are not allowed: who plays, who goes, what to say, and a log to fill in. */
export function SheetPage() {
  useTitle('Game sheet');
  return (
    <OpenedGame>
      <div className="page-head">
        <h1>Game sheet</h1>
      </div>
      <Sheet title="Game sheet">{() => <GameSheet />}</Sheet>
    </OpenedGame>
  );
}

function GameSheet() {
  const team = useTeam();
  const times = useTimes(team);
  const game = useGame();
  const { situation, ours, theirs, person, opponentName } = game;
  const pitcher = orTypical(person(situation.defence[theirs]['P']), 'pitcher');
  const catcher = orTypical(person(situation.defence[theirs]['C']), 'catcher');
  const runners = situation.order[ours].flatMap((id) => person(id) ?? []);
  const [kind] = stealKinds(team.ruleset, 'second');
  const card =
    kind &&
    goCard(
      runners.map((runner) => ({
        id: runner.id,
        question: questionOf(
          times,
          { pitcher, catcher, runner },
          { base: 'second', kind, style: 'legLift', batter: null, leadFeet: runner.leadFeet },
        ),
      })),
      { needed: team.neededChance, pitches: pitchesFor({ count: null }) },
      TO_EACH_SIDE,
    );
  const said = SHIPPED.filter(({ id }) => ON_PAPER.includes(id));
  const listOf = (side: Side) =>
    situation.order[side].map((id, index) => {
      const found = person(id);
      const position = Object.entries(situation.defence[side]).find(([, who]) => who === id)?.[0];
      return (
        <tr key={id}>
          <td>{index + 1}</td>
          <th scope="row">{found ? personLabel(found) : '–'}</th>
          <td>{position ?? 'bats'}</td>
        </tr>
      );
    });
  return (
    <div className="game-sheet">
      <h2>
        {team.name} {game.game.weAreHome ? 'vs.' : 'at'} {opponentName},{' '}
        {longDate(game.game.startsAt)}
      </h2>
      <div className="game-sheet-two">
        {[ours, theirs].map((side) => (
          <table key={side}>
            <thead>
              <tr>
                <th scope="col">#</th>
                <th scope="col">{side === ours ? team.name : opponentName}</th>
                <th scope="col">Pos</th>
              </tr>
            </thead>
            <tbody>{listOf(side)}</tbody>
          </table>
        ))}
      </div>
      {card && (
        <>
          <h3>
            Go on second if {pitcher.name} is this slow or slower, by {catcher.name}’s pop
          </h3>
          <table>
            <thead>
              <tr>
                <th scope="col">Runner, lead</th>
                {card.rows[0]?.cells.map(({ popSeconds }) => (
                  <th key={popSeconds} scope="col">
                    {popSeconds.toFixed(2)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {card.rows.map((row) => {
                const runner = person(row.id);
                return (
                  <tr key={row.id}>
                    <th scope="row">
                      {runner ? personLabel(runner) : ''}
                      {runner?.leadFeet != null && `, ${distance(runner.leadFeet)}`}
                    </th>
                    {row.cells.map(({ popSeconds, slowestSeconds }) => (
                      <td key={popSeconds}>
                        {slowestSeconds === null ? 'go' : slowestSeconds.toFixed(2)}
                      </td>
                    ))}
                  </tr>
                );
              })}
            </tbody>
          </table>
        </>
      )}
      <p className="game-sheet-say">{said.map(({ say }) => say).join(' ')}</p>
      <table className="game-sheet-log">
        <thead>
          <tr>
            {['Inn', 'Batter', 'Pitches', 'Result', 'To plate', 'Pop', 'Runners'].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: ROWS }, (_, row) => (
            <tr key={row}>
              {Array.from({ length: 7 }, (_each, column) => (
                <td key={column}>&nbsp;</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        <small>
          Slide only as taught. The umpire and your league’s book decide. Codes for typing it in: b
          c s f, 1/LF, g/SS, a/CF, sb, cs, k.
        </small>
      </p>
    </div>
  );
}
