import { ArrowLeft } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { Empty, Failure, Loading, useTitle } from '../../ui/index.ts';
import { handWord, personLabel, usePeople, usePerson } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { groupsOf } from './groups.ts';
import { GroupView } from './GroupView.tsx';
import './PersonTimesPage.scss';
import { ReadingList } from './ReadingList.tsx';
import { useReadings } from './useReadings.ts';

/** Everything that was timed of one person, and how far it can be trusted. */
export function PersonTimesPage() {
  const { personId } = useParams();
  const team = useTeam();
  const { opponents, isLoading } = usePeople(team.id);
  const person = usePerson(team.id, personId);
  const readings = useReadings(team.id);
  useTitle(person?.name ?? 'Times');
  if (readings.error) return <Failure error={readings.error} retry={readings.retry} />;
  if (isLoading || readings.isLoading) return <Loading what="the times" />;
  if (!person) return <Empty title="There is no such player in this team." />;

  const own = readings.of(person.id);
  const side = opponents.find(({ id }) => id === person.opponentId);
  const rosterSide = side ? `?side=${side.id}` : '';
  return (
    <>
      <div className="page-head">
        <div>
          <h1>{personLabel(person)}</h1>
          <p className="quiet">
            {person.positions.join(', ') || 'No position'}, {handWord(person.throws)}, bats{' '}
            {person.bats}
          </p>
        </div>
        <Link className="btn btn-outline-primary" to={`/teams/${team.id}/people${rosterSide}`}>
          <ArrowLeft size={18} aria-hidden="true" /> {side?.name ?? team.name}
        </Link>
      </div>
      {own.length === 0 ? (
        <Empty title="Nothing timed yet.">
          <p>Take the watch out and time a few: three say more than one.</p>
          <Link className="btn btn-primary" to={`/teams/${team.id}/timing`}>
            Time
          </Link>
        </Empty>
      ) : (
        <div className="person-times">
          <section className="card-box">
            <h2>What they say together</h2>
            {groupsOf(own).map((group) => (
              <GroupView key={group.key} group={group} />
            ))}
          </section>
          <section className="card-box">
            <h2>Every reading</h2>
            <ReadingList readings={own} />
          </section>
        </div>
      )}
    </>
  );
}
