import { GAMBLE_TEXT } from './gambleWords.ts';
import { How } from '../../ui/index.ts';
import { gamblesHere } from './gambles.ts';
import type { OddsInView } from './useOdds.ts';
import { gambleFacts, gambleHow, neededText } from './words.ts';

/** What each gamble on the bases has to be good for here; a tap says how it comes about. */
export function Gambles({ view: { game, situation } }: { view: OddsInView }) {
  const found = gamblesHere(game, situation);
  return (
    <section className="card-box">
      <h2>How often it has to work</h2>
      {found.length === 0 ? (
        <p className="quiet">Nobody is on whom a gamble could move.</p>
      ) : (
        <ul className="odds-rows" aria-label="How often it has to work">
          {found.map((gamble) => (
            <li key={gamble.gamble}>
              <details>
                <summary>
                  <span className="odds-name">{GAMBLE_TEXT[gamble.gamble]}</span>
                  <strong className="figure">{neededText(gamble.needed)}</strong>
                  <small>{gambleFacts(gamble).join(' · ')}</small>
                </summary>
                <p>{gambleHow(gamble, situation.by)}</p>
              </details>
            </li>
          ))}
        </ul>
      )}
      <How>
        <p>
          A gamble is worth it when being safe often enough makes up for the outs: what staying has
          over an out, against what safe has over an out. First comes what is closest to how often
          it usually works here. Tap a line for its own sum. All is good to about three points
          either way; steals and wild pitches usual at the level are in what staying is worth.
        </p>
      </How>
    </section>
  );
}
