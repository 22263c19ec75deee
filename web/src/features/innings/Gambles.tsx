import { useState } from 'react';
import { GAMBLE_TEXT } from './gambleWords.ts';
import { How, percent, Stepper } from '../../ui/index.ts';
import { gamblesHere, type GambleHere } from './gambles.ts';
import type { KnownHere } from './plate.ts';
import type { OddsInView } from './useOdds.ts';
import type { Situation } from './situation.ts';
import { gainText, gambleFacts, gambleHow, neededText } from './words.ts';

/** What each gamble on the bases has to be good for here; a tap says how it comes about. */
export function Gambles({
  view: { game, situation },
  known,
}: {
  view: OddsInView;
  known: KnownHere;
}) {
  const found = gamblesHere(game, situation, known.works);
  return (
    <section className="card-box">
      <h2>How often it needs to work</h2>
      {found.length === 0 ? (
        <p className="quiet">No runner on who could move up.</p>
      ) : (
        <ul className="odds-rows" aria-label="How often it needs to work">
          {found.map((gamble) => (
            <GambleRow key={gamble.gamble} gamble={gamble} by={situation.by} />
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

function GambleRow({ gamble, by }: { gamble: GambleHere; by: Situation['by'] }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <li>
      <details
        onToggle={({ currentTarget }) => {
          setOpen(currentTarget.open);
        }}
      >
        <summary>
          <span className="odds-name">{GAMBLE_TEXT[gamble.gamble]}</span>
          <strong className="figure">{neededText(gamble.needed)}</strong>
          <small>{gambleFacts(gamble).join(' · ')}</small>
        </summary>
        <p>{gambleHow(gamble, by)}</p>
        {isOpen && <IfItWorks gamble={gamble} by={by} />}
      </details>
    </li>
  );
}

const USUAL_CHANCE = 0.7;

/** What going is worth when it works so often. */
function IfItWorks({
  gamble: { gamble, usual, hold, safe, out },
  by,
}: {
  gamble: GambleHere;
  by: Situation['by'];
}) {
  const [chance, setChance] = useState<number | null>(null);
  const works = chance ?? Math.round((usual ?? USUAL_CHANCE) * 100) / 100;
  return (
    <div className="odds-if">
      <Stepper
        label={`If “${GAMBLE_TEXT[gamble].toLowerCase()}” works`}
        value={works}
        step={0.01}
        min={0.05}
        max={0.99}
        text={percent}
        onChange={setChance}
      />
      <span role="status">going {gainText(works * safe + (1 - works) * out - hold, by)}.</span>
    </div>
  );
}
