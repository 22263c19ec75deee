import type { PracticeRecord } from '@bradyon/contract/drills';
import type { Kept } from '@bradyon/contract/kept';
import {
  ageAt,
  capsAt,
  clashesOf,
  isStation,
  practiceMinutes,
  sprintsIn,
  STATION_NAMES,
  type OwnStation,
} from '@bradyon/core/drills';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { useState, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useNavigate, useParams } from 'react-router';
import { newId } from '../../api/index.ts';
import { Empty, Failure, Loading, localMinute, Stepper } from '../../ui/index.ts';
import { Sortable, SortableRow } from '../../ui/sortable/index.ts';
import { download, makeTable } from '../files/index.ts';
import { personLabel } from '../people/index.ts';
import { calendarOf } from './calendar.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import { groupName, partRows, stationName, timetableRows } from './timetable.ts';
import { usePractices } from './usePractices.ts';
import { CLASH_TEXT, STATION_HOW, STATION_TEXT } from './words.ts';

type KeptPractice = Kept<PracticeRecord>;

/** A practice, however it is looked at: it is there, or it says where it went. */
export function OnePractice({
  title,
  children,
}: {
  title: string;
  children: (
    practice: KeptPractice,
    view: DrillsInView,
    practices: ReturnType<typeof usePractices>,
  ) => ReactNode;
}) {
  return <DrillPage title={title}>{(view) => <Found view={view}>{children}</Found>}</DrillPage>;
}

function Found({
  view,
  children,
}: {
  view: DrillsInView;
  children: Parameters<typeof OnePractice>[0]['children'];
}) {
  const { practiceId } = useParams();
  const practices = usePractices(view.team.id);
  if (practices.error) return <Failure error={practices.error} retry={practices.retry} />;
  if (practices.isLoading) return <Loading what="the practice" />;
  const practice = practices.practices.find(({ id }) => id === practiceId);
  if (!practice) {
    return (
      <Empty title="This practice is gone.">
        <Link className="btn btn-primary" to={`/teams/${view.team.id}/drills`}>
          All practices
        </Link>
      </Empty>
    );
  }
  return children(practice, view, practices);
}

/** The plan, to be changed at will. */
export function PracticePage() {
  return (
    <OnePractice title="Practice plan">
      {(practice, view, practices) => (
        <Plan
          practice={practice}
          view={view}
          change={(parts) => {
            const { version: _version, ...own } = practice;
            practices.save({ ...own, ...parts });
          }}
          remove={() => {
            practices.remove(practice);
          }}
        />
      )}
    </OnePractice>
  );
}

type Change = (parts: Partial<PracticeRecord>) => void;

function Plan({
  practice,
  view: { team, players },
  change,
  remove,
}: {
  practice: KeptPractice;
  view: DrillsInView;
  change: Change;
  remove: () => void;
}) {
  const navigate = useNavigate();
  return (
    <>
      <div className="practice-head card-box">
        <Named practice={practice} change={change} />
        <div className="practice-tools">
          <Link className="btn btn-primary" to="run">
            Run it
          </Link>
          <Link className="btn btn-outline-primary" to="sheet">
            Print
          </Link>
          <Button
            variant="outline-primary"
            onClick={() => {
              download(`${practice.name}.ics`, calendarOf(practice), 'text/calendar');
            }}
          >
            Calendar file
          </Button>
          <Button
            variant="outline-primary"
            onClick={() => {
              download(`${practice.name}.csv`, makeTable(timetableRows(practice)), 'text/csv');
            }}
          >
            CSV
          </Button>
          <Button
            variant="link"
            onClick={() => {
              remove();
              void navigate(`/teams/${team.id}/drills`);
            }}
          >
            Delete
          </Button>
        </div>
      </div>
      <Clashes practice={practice} />
      <div className="drills-two">
        <section className="card-box">
          <h2>
            Timetable, {practiceMinutes(practice)} minutes, {practice.coaches}{' '}
            {practice.coaches === 1 ? 'coach' : 'coaches'}
          </h2>
          <Timetable practice={practice} />
          <h2>Minutes</h2>
          <Minutes practice={practice} change={change} />
        </section>
        <section className="card-box">
          <h2>Stations, in order</h2>
          <Stations practice={practice} change={change} />
          <h2>Groups</h2>
          <Groups practice={practice} players={players} change={change} />
          <Draft
            id="practice-notes"
            label="Notes, and what to bring"
            value={practice.notes}
            most={2000}
            rows={3}
            onSave={(notes) => {
              change({ notes });
            }}
          />
          <Limits practice={practice} sprints={capsAt(ageAt(team.level)).sprints} />
        </section>
      </div>
    </>
  );
}

/**
 * Text that is saved when it is left. What is being typed stays whatever comes from elsewhere meanwhile.
 * @param missing what to say where it may not be empty
 */
function Draft({
  id,
  label,
  value,
  most,
  rows,
  missing,
  onSave,
}: {
  id: string;
  label: string;
  value: string;
  most: number;
  rows?: number;
  missing?: string;
  onSave: (value: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const problem = typed?.trim() === '' ? (missing ?? '') : '';
  return (
    <Form.Group controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        {...(rows === undefined ? {} : { as: 'textarea', rows })}
        value={typed ?? value}
        maxLength={most}
        isInvalid={problem !== ''}
        onChange={({ target }) => {
          setTyped(target.value);
        }}
        onBlur={() => {
          if (typed === null || problem !== '') return;
          if (typed.trim() !== value) onSave(typed.trim());
          setTyped(null);
        }}
      />
      <Form.Control.Feedback type="invalid">{problem}</Form.Control.Feedback>
    </Form.Group>
  );
}

function Named({ practice, change }: { practice: KeptPractice; change: Change }) {
  return (
    <div className="practice-named">
      <Draft
        id="practice-name"
        label="Name"
        value={practice.name}
        most={60}
        missing="Give the practice a name."
        onSave={(name) => {
          change({ name });
        }}
      />
      <Form.Group controlId="practice-starts">
        <Form.Label>Starts</Form.Label>
        <Form.Control
          key={practice.startsAt}
          type="datetime-local"
          defaultValue={localMinute(new Date(practice.startsAt))}
          onBlur={({ target }) => {
            const at = new Date(target.value);
            if (Number.isNaN(at.getTime()) || at.toISOString() === practice.startsAt) return;
            change({ startsAt: at.toISOString() });
          }}
        />
      </Form.Group>
    </div>
  );
}

function Clashes({ practice }: { practice: KeptPractice }) {
  const rows = partRows(practice);
  const clashes = clashesOf(practice);
  if (clashes.length === 0) return null;
  return (
    <ul className="practice-clashes" role="alert">
      {clashes.map(({ part, what, groups }) => (
        <li key={`${String(part)} ${what} ${groups.join(' ')}`}>
          {rows[part]?.clock}: {groups.map(groupName).join(' and ')} {CLASH_TEXT[what]}. Change the
          order.
        </li>
      ))}
    </ul>
  );
}

/** Who is where when. */
export function Timetable({ practice }: { practice: PracticeRecord }) {
  return (
    <div className="practice-scroll" tabIndex={0} role="region" aria-label="Timetable">
      <table className="reps-table practice-table">
        <thead>
          <tr>
            <th scope="col">Time</th>
            {practice.groups.map((_, group) => (
              <th key={groupName(group)} scope="col">
                {groupName(group)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {partRows(practice).map(({ clock, minutes, what, groups }) => (
            <tr key={clock}>
              <th scope="row">
                {clock} <small className="quiet">{minutes} min</small>
              </th>
              {groups.length === 0 ? (
                <td colSpan={Math.max(1, practice.groups.length)} className="practice-all">
                  {what}
                </td>
              ) : (
                groups.map(({ text, reps }, group) => (
                  <td key={groupName(group)}>
                    {text}
                    {reps !== null && <small className="quiet"> {reps} each</small>}
                  </td>
                ))
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Minutes({ practice, change }: { practice: KeptPractice; change: Change }) {
  const { warmUpMinutes, slotMinutes, changeMinutes, closeMinutes, water, coaches } = practice;
  const common = { step: 1, text: String } as const;
  return (
    <div className="practice-minutes">
      <Stepper
        {...common}
        label="Warm-up"
        value={warmUpMinutes}
        min={0}
        max={60}
        onChange={(value) => {
          change({ warmUpMinutes: value });
        }}
      />
      <Stepper
        {...common}
        label="A station"
        value={slotMinutes}
        min={Math.max(4, changeMinutes + 1)}
        max={60}
        onChange={(value) => {
          change({ slotMinutes: value });
        }}
      />
      <Stepper
        {...common}
        label="Changing over"
        value={changeMinutes}
        min={0}
        max={Math.min(10, slotMinutes - 1)}
        onChange={(value) => {
          change({ changeMinutes: value });
        }}
      />
      <Stepper
        {...common}
        label="Water"
        value={water.minutes}
        min={0}
        max={15}
        onChange={(value) => {
          change({ water: { ...water, minutes: value } });
        }}
      />
      <Stepper
        {...common}
        label="Close"
        value={closeMinutes}
        min={0}
        max={60}
        onChange={(value) => {
          change({ closeMinutes: value });
        }}
      />
      <Stepper
        {...common}
        label="Coaches"
        value={coaches}
        min={1}
        max={20}
        onChange={(value) => {
          change({ coaches: value });
        }}
      />
    </div>
  );
}

const MOST_STATIONS = 8;
const MOST_OWN = 12;

/** The circle: dragged into another order, each exchanged, taken out or added; the coach's own among them. */
function Stations({ practice, change }: { practice: KeptPractice; change: Change }) {
  const { order, own } = practice;
  const [name, setName] = useState('');
  // A station may come twice: what is dragged is a place.
  const seen = new Map<string, number>();
  const ids = order.map((each) => {
    const nth = (seen.get(each) ?? 0) + 1;
    seen.set(each, nth);
    return `${each} ${String(nth)}`;
  });
  const stationOf = (id: string): string => order[ids.indexOf(id)] ?? '';
  const put = (next: string[]): void => {
    change({ order: next, own: own.filter(({ id }) => next.includes(id) || order.includes(id)) });
  };
  const addOwn = (): void => {
    const station: OwnStation = { id: newId(), name: name.trim(), notes: '' };
    change({ own: [...own, station], order: [...order, station.id] });
    setName('');
  };
  return (
    <>
      <Sortable
        ids={ids}
        onMove={(next) => {
          change({ order: next.map(stationOf) });
        }}
      >
        <ol className="practice-order">
          {ids.map((id, nth) => {
            const station = stationOf(id);
            return (
              <SortableRow key={id} id={id} label={`Move ${stationName(practice, station)}`}>
                <Form.Select
                  aria-label={`Station ${String(nth + 1)}`}
                  value={station}
                  onChange={({ target }) => {
                    put(order.map((each, at) => (at === nth ? target.value : each)));
                  }}
                >
                  {STATION_NAMES.map((each) => (
                    <option key={each} value={each}>
                      {STATION_TEXT[each]}
                    </option>
                  ))}
                  {own.map((each) => (
                    <option key={each.id} value={each.id}>
                      {each.name}
                    </option>
                  ))}
                </Form.Select>
                <Button
                  variant="link"
                  aria-label={`Remove ${stationName(practice, station)}`}
                  disabled={order.length <= 1}
                  onClick={() => {
                    put(order.filter((_, at) => at !== nth));
                  }}
                >
                  Remove
                </Button>
              </SortableRow>
            );
          })}
        </ol>
      </Sortable>
      <div className="practice-add">
        <Button
          variant="outline-primary"
          disabled={order.length >= MOST_STATIONS}
          onClick={() => {
            const free = STATION_NAMES.find((each) => !order.includes(each)) ?? 'starts';
            change({ order: [...order, free] });
          }}
        >
          Add a station
        </Button>
        <Form.Control
          aria-label="Your own station"
          placeholder="Your own station"
          value={name}
          maxLength={40}
          onChange={({ target }) => {
            setName(target.value);
          }}
        />
        <Button
          variant="outline-primary"
          disabled={name.trim() === '' || order.length >= MOST_STATIONS || own.length >= MOST_OWN}
          onClick={addOwn}
        >
          Add yours
        </Button>
      </div>
      {own.map((station) => (
        <Draft
          key={station.id}
          id={`own-${station.id}`}
          label={`${station.name}: what to do`}
          value={station.notes}
          most={500}
          onSave={(notes) => {
            change({
              own: own.map((each) => (each.id === station.id ? { ...each, notes } : each)),
            });
          }}
        />
      ))}
    </>
  );
}

/** Who is in which group; moved by a choice. */
function Groups({
  practice: { groups },
  players,
  change,
}: {
  practice: KeptPractice;
  players: readonly Person[];
  change: Change;
}) {
  const NOBODY = '';
  const groupOf = (id: PersonId): string => {
    const at = groups.findIndex((group) => group.includes(id));
    return at < 0 ? NOBODY : String(at);
  };
  const move = (id: PersonId, to: string): void => {
    change({
      groups: groups.map((group, at) => {
        const rest = group.filter((each) => each !== id);
        return String(at) === to ? [...rest, id] : rest;
      }),
    });
  };
  return (
    <div className="practice-groups">
      {players.map((person) => (
        <label key={person.id}>
          <span>{personLabel(person)}</span>
          <Form.Select
            value={groupOf(person.id)}
            onChange={({ target }) => {
              move(person.id, target.value);
            }}
          >
            {groups.map((_, at) => (
              <option key={groupName(at)} value={String(at)}>
                {groupName(at)}
              </option>
            ))}
            <option value={NOBODY}>Not there</option>
          </Form.Select>
        </label>
      ))}
    </div>
  );
}

/** What a day may ask of a player, against what this one does. */
function Limits({ practice, sprints }: { practice: KeptPractice; sprints: number }) {
  const most = Math.max(0, ...practice.groups.map((_, group) => sprintsIn(practice, group)));
  return (
    <p className={most > sprints ? 'drills-problem' : 'quiet'}>
      {Math.ceil(most)} full sprints each, {sprints} at most a day at this age. Lower limits of a
      trainer or parent win.
    </p>
  );
}

/** What each station needs, for whoever sets it up. */
export function SetUps({ practice }: { practice: PracticeRecord }) {
  return (
    <ul className="practice-setups">
      {[...new Set(practice.order)].map((name) => (
        <li key={name}>
          <strong>{stationName(practice, name)}.</strong>{' '}
          {isStation(name) ? STATION_HOW[name] : practice.own.find(({ id }) => id === name)?.notes}
        </li>
      ))}
    </ul>
  );
}
