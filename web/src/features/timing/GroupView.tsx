import type { Population } from '@bradyon/core/sprint';
import { seconds, SpreadDots } from '../../ui/index.ts';
import './GroupView.scss';
import { useNow } from './useNow.ts';
import {
  dotsOf,
  estimateWords,
  KIND_WORDS,
  lackWords,
  MOST_DOTS,
  titleOf,
  toneOf,
} from './words.ts';

/** One population at a glance: the estimate, how sure, how many, what is lacking, and every dot. */
export function GroupView({ population }: { population: Population }) {
  const { estimate, context } = population;
  const lack = lackWords(population, useNow());
  const shown = estimate !== null && estimate.count > 0 ? estimate : null;
  return (
    <div className="group">
      <div className="group-line">
        <h3>
          {titleOf(context)} <span className="quiet">{KIND_WORDS[context.kind].from}</span>
        </h3>
        <p>
          {estimate && <strong className="figure">{seconds(estimate.meanSeconds)}</strong>}{' '}
          <span className="quiet">{estimateWords(population)}</span>
        </p>
      </div>
      <SpreadDots
        tone={toneOf(context.kind)}
        meanSeconds={shown?.meanSeconds ?? null}
        giveOrTakeSeconds={shown?.giveOrTakeSeconds ?? null}
        dots={dotsOf(population)}
      />
      {population.readings.length > MOST_DOTS && (
        <p className="quiet">The dots are the newest {MOST_DOTS} times.</p>
      )}
      {lack && <p className="group-lack">{lack}</p>}
    </div>
  );
}
