import { Link } from 'react-router';
import { standsWords } from './standsWords.ts';
import { useGame } from './useGame.ts';

/** The game is over: how it came out, and the way to its box. */
export function OverBox() {
  const { situation, ours } = useGame();
  return (
    <section className="card-box over-box" aria-label="The game is over">
      <strong>{standsWords(situation, ours)}</strong>
      <Link className="btn btn-primary" to="box">
        See the box
      </Link>
    </section>
  );
}
