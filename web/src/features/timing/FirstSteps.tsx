import { Circle, CircleCheck } from 'lucide-react';
import { Link } from 'react-router';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import './FirstSteps.scss';
import { useReadings } from './useReadings.ts';

/** What an empty team needs before there is an answer; gone once it is there. */
export function FirstSteps() {
  const team = useTeam();
  const { people, opponents, isLoading } = usePeople(team.id);
  const readings = useReadings(team.id);
  if (isLoading || readings.isLoading) return null;
  const active = people.filter(({ retired }) => !retired);
  const plays = (position: 'P' | 'C'): boolean =>
    opponents.some(({ id }) =>
      active.some(({ opponentId, positions }) => opponentId === id && positions.includes(position)),
    );
  const base = `/teams/${team.id}`;
  const steps = [
    {
      done: active.some(({ opponentId }) => opponentId === null),
      text: 'Add your players',
      ways: [{ to: `${base}/files?in=people`, text: 'Paste or import' }],
    },
    {
      done: plays('P') && plays('C'),
      text: 'Add an opponent with a pitcher and a catcher',
      ways: [],
    },
    {
      done: readings.all().length > 0,
      text: 'Time a pitch, or type one in',
      ways: [
        { to: `${base}/timing`, text: 'Time' },
        { to: `${base}/timing?watch=typed`, text: 'Type' },
      ],
    },
  ];
  if (steps.every(({ done }) => done)) return null;
  return (
    <section className="card-box first-steps" aria-label="First steps">
      <h2>First steps</h2>
      <ol>
        {steps.map(({ done, text, ways }) => (
          <li key={text} className={done ? 'quiet' : undefined}>
            {done ? (
              <CircleCheck size={20} aria-label="Done" />
            ) : (
              <Circle size={20} aria-label="To do" />
            )}
            <span>{text}</span>
            {!done &&
              ways.map((way) => (
                <Link key={way.text} className="btn btn-outline-primary" to={way.to}>
                  {way.text}
                </Link>
              ))}
          </li>
        ))}
      </ol>
      <p>
        <span className="quiet">No times yet? A typical player stands in.</span>{' '}
        <Link to={`${base}/steals`}>See a steal</Link>
      </p>
    </section>
  );
}
