import type { Leg } from '@bradyon/core/steals';
import type { Population } from '@bradyon/core/sprint';
import type { PersonId } from '@bradyon/core/units';
import { Link } from 'react-router';
import { giveOrTake, seconds, SpreadDots, timesCount } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { dotsOf } from '../timing/index.ts';

/** What one leg of the race rests on: this person's own times, or what is typical. */
export function RestsOn({
  title,
  personId,
  leg,
  population,
  tone,
}: {
  title: string;
  personId: PersonId | null;
  /** undefined: this leg does not count under these rules. */
  leg: Leg | undefined;
  /** undefined: nothing of it is timed. */
  population: Population | undefined;
  tone: 'ball' | 'runner';
}) {
  const { id: teamId } = useTeam();
  return (
    <section className="card-box">
      <h2>
        <Link to={`/teams/${teamId}/timing/${personId ?? ''}`}>{title}</Link>
      </h2>
      {leg ? (
        <>
          <p>
            <strong className="figure steal-figure">{seconds(leg.seconds)}</strong>{' '}
            <span className="quiet">{basisWords(leg)}</span>
          </p>
          {leg.basis === 'timed' ? (
            <SpreadDots
              tone={tone}
              meanSeconds={leg.seconds}
              giveOrTakeSeconds={leg.giveOrTakeSeconds}
              dots={population ? dotsOf(population) : []}
            />
          ) : (
            <Link
              className="btn btn-outline-primary"
              to={`/teams/${teamId}/timing${tone === 'runner' ? '?watch=runners' : ''}`}
            >
              Time{' '}
              {tone === 'runner' ? 'the steal' : leg.name === 'pop' ? 'the throw' : 'the pitch'}
            </Link>
          )}
        </>
      ) : (
        <p className="quiet">
          Nobody may leave before the pitch reaches the batter, so the pitch does not count in this
          race.
        </p>
      )}
    </section>
  );
}

function basisWords({ basis, count, giveOrTakeSeconds }: Leg): string {
  if (basis === 'typical') return 'typical for this level, not this player';
  const spread = giveOrTakeSeconds === null ? '' : `${giveOrTake(giveOrTakeSeconds)}, `;
  if (basis === 'reckoned') return `reckoned from his leg lift (${timesCount(count)}), less .17`;
  return `${spread}${timesCount(count)}`;
}
