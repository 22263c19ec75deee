import type { Person } from '@bradyon/core/people';
import { ASIDE_REASONS, type AsideReason, type Reading } from '@bradyon/core/timing';
import { RotateCcw, TriangleAlert } from 'lucide-react';
import { memo, useState } from 'react';
import Dropdown from 'react-bootstrap/Dropdown';
import { longDate, notify, seconds, shortDate, distanceAsTaken } from '../../ui/index.ts';
import { useAccount } from '../accounts/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { MoveDialog } from './MoveDialog.tsx';
import './ReadingList.scss';
import { useTimes } from './useTimes.ts';
import { capital, METHOD_WORDS, START_WORDS, titleOf } from './words.ts';
import { readingWrite } from './writes.ts';

/** Single times, each of which can be set aside with a reason and brought back. */
export function ReadingList({
  readings,
  nameOf,
}: {
  readings: readonly Reading[];
  /** Whose time it is, where the list holds several people's. */
  nameOf?: (reading: Reading) => string;
}) {
  const team = useTeam();
  const { people } = usePeople(team.id);
  const times = useTimes(team);
  return (
    <ul className="readings">
      {readings.map((reading) => {
        const person = people.find(({ id }) => id === reading.personId) ?? null;
        return (
          <ReadingRow
            key={reading.id}
            reading={reading}
            person={person}
            name={nameOf?.(reading)}
            isDoubtful={times.of(person).some(({ doubtful }) => doubtful.has(reading.id))}
          />
        );
      })}
    </ul>
  );
}

/** Drawn again only when something of it changes: a tap on the watch is nothing of it. */
const ReadingRow = memo(function ReadingRow({
  reading,
  person,
  name,
  isDoubtful,
}: {
  reading: Reading;
  person: Person | null;
  name: string | undefined;
  isDoubtful: boolean;
}) {
  const { id: teamId, role } = useTeam();
  const [moving, setMoving] = useState(false);
  const { id, asideReason, leadFeet, start, method, timedByName, takenAt } = reading;
  const { account } = useAccount();
  // Whoever timed it, and the owner of the team.
  const mayDelete = role === 'owner' || reading.timedBy === account?.id;
  const isAside = asideReason !== null;
  const what = titleOf(reading);
  const judge = (reason: AsideReason | null, vouched = reading.vouched): void => {
    readingWrite.send(teamId, { step: 'judge', readingId: id, reason, vouched });
  };
  const setAside = (reason: AsideReason): void => {
    judge(reason);
    notify(`${seconds(reading.seconds)} set aside: ${reason}`, () => {
      judge(null);
    });
  };
  return (
    <li className={isAside ? 'reading reading-aside' : 'reading'}>
      <strong className="reading-seconds figure">{seconds(reading.seconds)}</strong>
      <span className="reading-words">
        <span>
          {what}
          {leadFeet === null ? '' : ` from ${distanceAsTaken(leadFeet)}`}
          {start === null ? '' : `, ${START_WORDS[start]}`}
        </span>
        <span className="quiet" title={longDate(takenAt)}>
          {name ? `${name}, ` : ''}
          {shortDate(takenAt)}, {METHOD_WORDS[method] || `by ${timedByName}`}
        </span>
        {isAside && <span className="reading-why">set aside: {asideReason}</span>}
        {isDoubtful && (
          <span className="reading-odd">
            <TriangleAlert size={15} aria-hidden="true" /> Looks like a wrong tap
          </span>
        )}
      </span>
      {isDoubtful && (
        <button
          type="button"
          className="reading-button"
          aria-label={`Keep ${what} ${seconds(reading.seconds)}`}
          onClick={() => {
            judge(null, true);
            notify(`${seconds(reading.seconds)} counts`, () => {
              judge(null, false);
            });
          }}
        >
          Keep
        </button>
      )}
      {isAside ? (
        <button
          type="button"
          className="reading-button"
          aria-label={`Restore ${what} ${seconds(reading.seconds)}`}
          onClick={() => {
            judge(null);
          }}
        >
          <RotateCcw size={17} aria-hidden="true" /> Restore
        </button>
      ) : (
        <Dropdown align="end">
          <Dropdown.Toggle
            as="button"
            className="reading-button"
            aria-label={`Set aside ${what} ${seconds(reading.seconds)}`}
          >
            Set aside
          </Dropdown.Toggle>
          <Dropdown.Menu>
            <Dropdown.Header>Why set it aside?</Dropdown.Header>
            {ASIDE_REASONS.map((reason) => (
              <Dropdown.Item
                key={reason}
                as="button"
                onClick={() => {
                  setAside(reason);
                }}
              >
                {capital(reason)}
              </Dropdown.Item>
            ))}
            <Dropdown.Divider />
            <Dropdown.Item
              as="button"
              onClick={() => {
                setMoving(true);
              }}
            >
              Wrong player
            </Dropdown.Item>
            {mayDelete && (
              <Dropdown.Item
                as="button"
                onClick={() => {
                  readingWrite.send(teamId, { step: 'delete', readingId: id });
                  notify(`${seconds(reading.seconds)} deleted`);
                }}
              >
                Delete forever
              </Dropdown.Item>
            )}
          </Dropdown.Menu>
        </Dropdown>
      )}
      {moving && person && (
        <MoveDialog
          reading={reading}
          owner={person}
          onClose={() => {
            setMoving(false);
          }}
        />
      )}
    </li>
  );
});
