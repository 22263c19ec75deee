import type { PracticeRecord } from '@bradyon/contract/drills';
import { clashesOf, practiceMinutes } from '@bradyon/core/drills';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useNavigate } from 'react-router';
import { localMinute, Stepper } from '../../ui/index.ts';
import { download, makeTable } from '../files/index.ts';
import { calendarOf } from './calendar.ts';
import { Draft } from './Draft.tsx';
import type { DrillsInView } from './DrillPage.tsx';
import { OnePractice } from './OnePractice.tsx';
import type { KeptPractice } from './practiceChange.ts';
import { PracticeCare } from './PracticeCare.tsx';
import { PracticeGroups } from './PracticeGroups.tsx';
import { Stations } from './PracticeStations.tsx';
import { Timetable } from './PracticeTable.tsx';
import { groupName, partRows, timetableRows } from './timetable.ts';
import { CLASH_TEXT } from './words.ts';

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
          <PracticeCare practice={practice} team={team} players={players} change={change} />
        </section>
        <section className="card-box">
          <h2>Stations, in order</h2>
          <Stations practice={practice} change={change} />
          <h2>Groups</h2>
          <PracticeGroups practice={practice} players={players} change={change} />
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
        </section>
      </div>
    </>
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
