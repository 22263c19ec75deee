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
      <h2>How often it needs to work</h2>
      {found.length === 0 ? (
        <p className="quiet">No runner on who could move up.</p>
      ) : (
        <ul className="odds-rows" aria-label="How often it needs to work">
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
          Going pays when the safe ones make up for the outs. The closest calls come first. Tap a
          line for its math. Numbers are good to about three points. Staying includes the steals and
          wild pitches that are typical here.
        </p>
      </How>
    </section>
  );
}
