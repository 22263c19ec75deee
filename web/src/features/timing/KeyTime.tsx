import type { Person } from '@bradyon/core/people';
import { wantedOf } from '@bradyon/core/sprint';
import { populationKey } from '@bradyon/core/timing';
import { seconds, timesCount } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './KeyTime.scss';
import { useTimes } from './useTimes.ts';
import { titleOf } from './words.ts';

/** The numbers that a coach looks somebody up for, as far as they are his own. */
export function KeyTime({ person }: { person: Person }) {
  const team = useTeam();
  const populations = useTimes(team).of(person);
  const shown = wantedOf(person, team.ruleset)
    .filter(({ kind, style }) => kind !== 'pick' && style !== 'slideStep' && kind !== 'homeToFirst')
    .flatMap((wanted) => populations.find(({ key }) => key === populationKey(wanted)) ?? [])
    .filter(({ estimate }) => estimate !== null && estimate.count > 0);
  if (shown.length === 0) return <span className="quiet">not yet</span>;
  return (
    <span className="key-times">
      {shown.map(({ key, context, estimate }) => (
        <span key={key} className="key-time">
          <span className="quiet">{titleOf(context)}</span>{' '}
          <strong className="figure">{seconds(estimate?.meanSeconds ?? 0)}</strong>{' '}
          <span className="quiet key-count">{timesCount(estimate?.count ?? 0)}</span>
        </span>
      ))}
    </span>
  );
}
