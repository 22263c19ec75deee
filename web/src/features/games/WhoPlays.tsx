import { hundredths } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import type { Leg } from '@bradyon/core/steals';
import type { Desk } from './useDesk.ts';
import { useGame } from './useGame.ts';

/** Pitcher and catcher, with what is known of them. */
export function WhoPlays({ desk }: { desk: Desk }) {
  const { situation, person, name } = useGame();
  const { pitch, pop } = desk.race?.steal.legs ?? {};
  const pitcher = person(situation.pitcher);
  const catcher = person(situation.catcher);
  const pitches = situation.pitcher === null ? 0 : (situation.pitches[situation.pitcher] ?? 0);
  return (
    <dl className="who-plays">
      <div>
        <dt>
          {pitcher ? personLabel(pitcher) : 'No pitcher'}
          <small>
            pitcher{pitcher?.throws === 'left' ? ', left' : ''}, {pitches}{' '}
            {pitches === 1 ? 'pitch' : 'pitches'}
          </small>
        </dt>
        <dd>{legText(pitch ?? null)}</dd>
      </div>
      <div>
        <dt>
          {catcher ? personLabel(catcher) : 'No catcher'}
          <small>catcher</small>
        </dt>
        <dd>{legText(pop ?? null)}</dd>
      </div>
      <div>
        <dt>
          {desk.batter ? personLabel(desk.batter) : 'Nobody'}
          <small>
            at bat, bats {desk.batter?.bats ?? 'right'}. On deck {name(situation.onDeck)}
          </small>
        </dt>
        <dd />
      </div>
    </dl>
  );
}

function legText(leg: Leg | null) {
  if (!leg) return <small>not in this race</small>;
  return (
    <>
      <strong className="figure">{leg.spread.meanSeconds.toFixed(2)}</strong>
      <small>
        {leg.basis === 'timed'
          ? `± ${hundredths(leg.spread.meanSdSeconds * 1.28)}, ${String(leg.count)} timed`
          : leg.basis}
      </small>
    </>
  );
}
