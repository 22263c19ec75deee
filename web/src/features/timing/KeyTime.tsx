import type { Person } from '@bradyon/core/people';
import { seconds, timesCount } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { groupsOf } from './groups.ts';
import './KeyTime.scss';
import { useReadings } from './useReadings.ts';

/** The number that a coach looks somebody up for: a pitcher's delivery, a catcher's pop, else the steal. */
export function KeyTime({ person }: { person: Person }) {
  const { id: teamId } = useTeam();
  const readings = useReadings(teamId);
  const groups = groupsOf(readings.of(person.id)).filter(({ spread }) => spread !== null);
  const wanted = wantedGroups(person);
  const shown = groups.filter(({ key }) => wanted.includes(key));
  if (shown.length === 0) return <span className="quiet">not yet</span>;
  return (
    <span className="key-times">
      {shown.map(({ key, title, spread }) => (
        <span key={key} className="key-time">
          <span className="quiet">{title}</span>{' '}
          <strong className="figure">{seconds(spread?.meanSeconds ?? 0)}</strong>{' '}
          <span className="quiet key-count">{timesCount(spread?.count ?? 0)}</span>
        </span>
      ))}
    </span>
  );
}

function wantedGroups({ positions, opponentId }: Person): string[] {
  return [
    ...(positions.includes('P') ? ['delivery legLift', 'flight'] : []),
    ...(positions.includes('C') ? ['pop second'] : []),
    ...(opponentId === null ? ['steal second'] : []),
  ];
}
