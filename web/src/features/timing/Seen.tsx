import type { Person } from '@bradyon/core/people';
import { rhythmOf, throwsOn, type ReadingKind, type Thrower } from '@bradyon/core/timing';
import { dayIn } from '@bradyon/core/units';
import { memo } from 'react';
import { Link } from 'react-router';
import { useAccount } from '../accounts/index.ts';
import { personLabel } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { GroupView } from './GroupView.tsx';
import { sameProps } from './keepLast.ts';
import { ReadingList } from './ReadingList.tsx';
import { useNow } from './useNow.ts';
import { useTimes } from './useTimes.ts';
import { inOrder, KIND_WORDS, rhythmWords } from './words.ts';

const LATEST = 6;

/** What is known of somebody so far, of the kinds being timed. */
export const Seen = memo(function Seen({
  person,
  role,
  kinds,
  thrower,
}: {
  person: Person;
  role: string;
  kinds: readonly ReadingKind[];
  /** As what he throws, where throws are counted. */
  thrower?: Thrower;
}) {
  const team = useTeam();
  const populations = inOrder(
    useTimes(team)
      .of(person)
      .filter(({ context }) => kinds.includes(context.kind)),
  );
  return (
    <section className="card-box">
      <div className="time-person">
        <h2>
          <Link to={`/teams/${team.id}/timing/${person.id}`}>{personLabel(person)}</Link>
        </h2>
        <span className="quiet">{role}</span>
      </div>
      {kinds.includes('hold') && <RhythmLine person={person} />}
      {populations.length === 0 ? (
        <p className="quiet">Nothing timed yet.</p>
      ) : (
        populations
          .filter(({ context }) => context.kind !== 'hold')
          .map((population) => <GroupView key={population.key} population={population} />)
      )}
      {thrower && person.opponentId === null && <ThrowCount person={person} thrower={thrower} />}
    </section>
  );
}, sameProps);

/** "Holds 2, 2, 3, 2 s: can be timed". */
export function RhythmLine({ person }: { person: Person }) {
  const team = useTeam();
  const holds = useTimes(team)
    .readingsOf(person.id)
    .filter(({ kind, asideReason }) => kind === 'hold' && asideReason === null)
    .map(({ seconds }) => seconds)
    .toReversed();
  const rhythm = rhythmOf(holds);
  if (!rhythm) return null;
  return (
    <p className="time-rhythm">
      <strong>Holds</strong> {rhythmWords(rhythm)}
    </p>
  );
}

/** Timed throws of today against the limit that the team has set. */
export function ThrowCount({ person, thrower }: { person: Person; thrower: Thrower }) {
  const team = useTeam();
  const dayOf = (instant: string | number): string => dayIn(team.timeZone, instant);
  const today = dayOf(useNow());
  const count = throwsOn(today, person.id, thrower, useTimes(team).readingsOf(person.id), dayOf);
  const limit = team.throwLimits[thrower];
  const isOver = limit !== null && count >= limit;
  return (
    <p className={isOver ? 'time-throws time-throws-over' : 'time-throws'}>
      <strong>
        {count} timed {count === 1 ? 'throw' : 'throws'} today
        {limit === null
          ? ''
          : isOver
            ? `: the limit of ${String(limit)} is reached`
            : ` of ${String(limit)}`}
        .
      </strong>{' '}
      Your league&rsquo;s pitch count and a trainer decide. If it hurts, stop.
    </p>
  );
}

/** The last taps, to set a wrong one aside or give it to whom it belongs. */
export const Latest = memo(function Latest({
  people,
  kinds,
}: {
  people: readonly (Person | null)[];
  kinds: readonly ReadingKind[];
}) {
  const times = useTimes(useTeam());
  const known = people.filter((person) => person !== null);
  const latest = known
    .flatMap(({ id }) => times.readingsOf(id).slice(0, 3 * LATEST))
    .filter(({ kind }) => kinds.includes(kind))
    .sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1))
    .slice(0, LATEST);
  if (latest.length === 0) return null;
  return (
    <section className="card-box">
      <h2>Latest</h2>
      <ReadingList
        readings={latest}
        nameOf={({ personId }) => known.find(({ id }) => id === personId)?.name ?? ''}
      />
    </section>
  );
}, sameProps);

/** Said until the coach has drilled: his thumb is taken to be a typical one. */
export const ThumbLine = memo(function ThumbLine({ kinds }: { kinds: readonly ReadingKind[] }) {
  const team = useTeam();
  const { account } = useAccount();
  const own = useTimes(team).thumbs.get(account?.id ?? ('' as never));
  const drilled = kinds.filter((kind) => ['delivery', 'flight', 'pop'].includes(kind));
  const missing = drilled.filter((kind) => own?.[kind] === undefined);
  if (missing.length === 0) return null;
  const what = missing.map((kind) => KIND_WORDS[kind].short).join(' and ');
  return (
    <p className="time-thumb">
      Thumb not calibrated for {what}. We assume a typical thumb.{' '}
      <Link to={`/teams/${team.id}/timing/thumb`}>Calibrate</Link>
    </p>
  );
}, sameProps);
