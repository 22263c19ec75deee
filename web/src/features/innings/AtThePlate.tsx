import { How } from '../../ui/index.ts';
import { NOTHING_KNOWN, platesHere, type KnownHere } from './plate.ts';
import type { OddsInView } from './useOdds.ts';
import { forUsText, PLATE_TEXT, plateHow } from './words.ts';

/** What the batter, and whoever pitches to him, may choose here; a tap says how it comes about. */
export function AtThePlate({
  view: { game, situation, up },
  known = NOTHING_KNOWN,
}: {
  view: OddsInView;
  known?: KnownHere;
}) {
  const ours = situation.batting === 'we';
  const found = platesHere(game, situation, up, known);
  return (
    <section className="card-box odds-plate">
      <h2>{ours ? 'At the plate' : 'In the field'}</h2>
      <ul className="odds-rows" aria-label="At the plate">
        {found.map((plate) => (
          <li key={plate.choice}>
            <details>
              <summary>
                <span className="odds-name">{PLATE_TEXT[situation.batting][plate.choice]}</span>
                <strong className="figure">{forUsText(plate.gain, situation.by)}</strong>
              </summary>
              <p>{plateHow(plate, situation.by, ours ? up : null, ours ? known : NOTHING_KNOWN)}</p>
            </details>
          </li>
        ))}
      </ul>
      {ours && (
        <p className="quiet">
          Bunting: keep fingers behind the barrel and get out of the way of an inside pitch.
        </p>
      )}
      <How>
        <p>
          What each choice gains over the usual one: every way it can end, how often, and what the
          game is worth after. Tap a line for its numbers.
        </p>
      </How>
    </section>
  );
}
