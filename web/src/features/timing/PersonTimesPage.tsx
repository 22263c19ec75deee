import { byNumber } from '@bradyon/core/people';
import { compareStarts, compareStyles, missingOf } from '@bradyon/core/sprint';
import { ArrowLeft, Check, CircleAlert, Keyboard } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link, useParams } from 'react-router';
import { Empty, Failure, Loading, useTitle } from '../../ui/index.ts';
import { DeletePerson, handWord, personLabel, usePeople, usePerson } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import type { WatchProps } from './BatteryWatch.tsx';
import { GroupView } from './GroupView.tsx';
import './PersonTimesPage.scss';
import { ReadingList } from './ReadingList.tsx';
import { RhythmLine, ThrowCount } from './Seen.tsx';
import { useNow } from './useNow.ts';
import { useTimes } from './useTimes.ts';
import { inOrder, missingWords, startsWords, stylesWords, titleOf } from './words.ts';

/** Charts are large: they come when somebody looks at one. */
const Trend = lazy(async () => ({ default: (await import('./Trend.tsx')).Trend }));

const FIRST_READINGS = 20;

/** Everything that was timed of one person, how far it can be trusted, and what is missing. */
export function PersonTimesPage({ Lead }: Pick<WatchProps, 'Lead'>) {
  const { personId } = useParams();
  const team = useTeam();
  const { people, opponents, isLoading } = usePeople(team.id);
  const person = usePerson(team.id, personId);
  const times = useTimes(team);
  const now = useNow();
  const [all, setAll] = useState(false);
  useTitle(person?.name ?? 'Times');
  if (times.error) return <Failure error={times.error} retry={times.retry} />;
  if (isLoading || times.isLoading) return <Loading what="times" />;
  if (!person) return <Empty title="This player was not found." />;

  const own = times.readingsOf(person.id);
  const populations = inOrder(times.of(person));
  const side = opponents.find(({ id }) => id === person.opponentId);
  const typeHere = `/teams/${team.id}/timing?watch=typed&who=${person.id}`;
  const rosterSide = side ? `?side=${side.id}` : '';
  const doubtful = populations.flatMap((each) =>
    each.readings.filter(({ id }) => each.doubtful.has(id)),
  );
  const missing = missingOf(person, populations, team.ruleset, now);
  const styles = compareStyles(populations);
  const comparisons = populations.flatMap((population) => {
    const compared = compareStarts(person, population, times.field, times.thumbs);
    return compared ? [{ key: population.key, context: population.context, compared }] : [];
  });
  const mates = people
    .filter(({ opponentId, retired }) => opponentId === person.opponentId && !retired)
    .toSorted(byNumber);
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
        <div className="person-head">
          <NextMate mates={mates} currentId={person.id} />
          <Link className="btn btn-outline-primary" to={typeHere}>
            <Keyboard size={18} aria-hidden="true" /> Type times
          </Link>
          <Link className="btn btn-outline-primary" to={`/teams/${team.id}/people${rosterSide}`}>
            <ArrowLeft size={18} aria-hidden="true" /> {side?.name ?? team.name}
          </Link>
        </div>
      </div>
      {Lead && person.opponentId !== null && (
        <section className="card-box person-leads">
          <Lead runner={person} base="first" />
          <Lead runner={person} base="second" />
        </section>
      )}
      {own.length === 0 ? (
        <Empty title="Nothing timed yet.">
          <p>Go to the watch and time a few. Three say more than one.</p>
          <Link className="btn btn-primary" to={`/teams/${team.id}/timing`}>
            Time
          </Link>
        </Empty>
      ) : (
        <div className="person-times">
          <section className="card-box">
            <h2>Summary</h2>
            {populations.map((population) => (
              <GroupView key={population.key} population={population} />
            ))}
            {styles && <p className="person-note">{stylesWords(styles)}</p>}
            {person.positions.includes('P') && <RhythmLine person={person} />}
            <p className="quiet person-note">
              Each dot is one time, corrected for the thumb. Steals are adjusted to one lead.
            </p>
          </section>
          <div className="person-side">
            <section className="card-box">
              <h2>
                {missing.length === 0 ? 'These numbers are good' : 'To firm up these numbers'}
              </h2>
              {missing.length === 0 ? (
                <p className="person-good">
                  <Check size={18} aria-hidden="true" /> Enough times, and recent.
                </p>
              ) : (
                <ul className="person-missing">
                  {missing.map((each) => (
                    <li key={titleOf(each.context)}>
                      <CircleAlert size={17} aria-hidden="true" /> {missingWords(each)}
                    </li>
                  ))}
                </ul>
              )}
              {doubtful.length > 0 && <ReadingList readings={doubtful} />}
              {person.positions.includes('P') && person.opponentId === null && (
                <ThrowCount person={person} thrower="pitcher" />
              )}
              {person.positions.includes('C') && person.opponentId === null && (
                <ThrowCount person={person} thrower="catcher" />
              )}
            </section>
            {comparisons.length > 0 && (
              <section className="card-box">
                <h2>Start</h2>
                {comparisons.map(({ key, context, compared }) => (
                  <p key={key}>
                    <span className="quiet">
                      {titleOf(context)}, {compared.first.count} against {compared.second.count}
                    </span>
                    <br />
                    <strong>{startsWords(compared)}</strong>
                  </p>
                ))}
              </section>
            )}
            <section className="card-box">
              <h2>By date</h2>
              <Suspense fallback={<Loading what="the chart" />}>
                <Trend populations={populations} />
              </Suspense>
            </section>
            <section className="card-box">
              <h2>Every time</h2>
              <ReadingList readings={all ? own : own.slice(0, FIRST_READINGS)} />
              {own.length > FIRST_READINGS && !all && (
                <button
                  type="button"
                  className="btn btn-link"
                  onClick={() => {
                    setAll(true);
                  }}
                >
                  Show all {own.length}
                </button>
              )}
            </section>
          </div>
        </div>
      )}
      {team.role === 'owner' && <DeletePerson person={person} count={own.length} />}
    </>
  );
}

/** From one of a side to the next without going back. */
function NextMate({
  mates,
  currentId,
}: {
  mates: ReturnType<typeof usePeople>['people'];
  currentId: string;
}) {
  const team = useTeam();
  const index = mates.findIndex(({ id }) => id === currentId);
  const next = mates[(index + 1) % mates.length];
  if (index === -1 || mates.length < 2 || !next) return null;
  return (
    <Link className="btn btn-outline-primary" to={`/teams/${team.id}/timing/${next.id}`}>
      Next: {personLabel(next)}
    </Link>
  );
}
