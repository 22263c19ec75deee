import type { TeamFile } from '@bradyon/contract/files';
import type { Imported } from '@bradyon/contract/timing';
import {
  BATTING_COLUMNS,
  BUNT_COLUMNS,
  PERSON_COLUMNS,
  READING_COLUMNS,
  readBatting,
  readBunts,
  readPeople,
  readReadings,
  writeBatting,
  writeBunts,
  writePeople,
  writeReadings,
  type BattingColumn,
  type BuntColumn,
  type BuntOfFile,
  type DistanceUnit,
  type PersonColumn,
  type ReadingColumn,
  type Season,
} from '@bradyon/core/files';
import { byNumber, type Person } from '@bradyon/core/people';
import type { ReadingDraft } from '@bradyon/core/timing';
import { dayIn } from '@bradyon/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import { LONGEST_WORK_MS, request } from '../../api/index.ts';
import {
  Choice,
  Failure,
  Loading,
  notify,
  seconds,
  useTitle,
  distanceUnit,
} from '../../ui/index.ts';
import { useBunters } from '../bunts/index.ts';
import { useBatting } from '../innings/index.ts';
import { personLabel, usePeople } from '../people/index.ts';
import { TeamTabs, useTeam } from '../teams/index.ts';
import { titleOf, useReadings } from '../timing/index.ts';
import { download, idsFor, makeTable } from './csv.ts';
import { CsvImport, type CsvKind } from './CsvImport.tsx';
import './FilesPage.scss';
import { TeamFileImport } from './TeamFileImport.tsx';

const WAYS = [
  { value: 'people', text: 'Players' },
  { value: 'times', text: 'Times' },
  { value: 'seasons', text: 'Seasons' },
  { value: 'bunts', text: 'Bunts' },
  { value: 'team', text: 'A whole team' },
] as const;

/** What goes in and out: people and times as tables, a whole team as one file. */
export function FilesPage() {
  useTitle('Files');
  const team = useTeam();
  const people = usePeople(team.id);
  const readings = useReadings(team.id);
  const [search, setSearch] = useSearchParams();
  const way = WAYS.find(({ value }) => value === search.get('in'))?.value ?? 'people';
  const error = people.error ?? readings.error;
  return (
    <>
      <div className="page-head">
        <h1>Team</h1>
        <TeamTabs />
      </div>
      {error ? (
        <Failure
          error={error}
          retry={() => {
            people.retry();
            readings.retry();
          }}
        />
      ) : people.isLoading || readings.isLoading ? (
        <Loading what="your team" />
      ) : (
        <div className="files">
          <section className="card-box files-part">
            <h2>Export</h2>
            <TakeOut />
          </section>
          <section className="card-box files-part">
            <h2>Import</h2>
            <Choice
              label="What to import"
              options={WAYS}
              value={way}
              onChange={(value) => {
                setSearch(value === 'people' ? {} : { in: value }, { replace: true });
              }}
            />
            {way === 'people' && <PeopleIn />}
            {way === 'times' && <TimesIn />}
            {way === 'seasons' && <SeasonsIn />}
            {way === 'bunts' && <BuntsIn />}
            {way === 'team' && <TeamFileImport />}
          </section>
        </div>
      )}
    </>
  );
}

function TakeOut() {
  const team = useTeam();
  const { people, opponents } = usePeople(team.id);
  const all = useReadings(team.id).all();
  const { all: seasons } = useBatting(team.id);
  const { practice: bunts } = useBunters(team.id);
  const [busy, setBusy] = useState(false);
  const name = (what: string, ending: string): string => {
    const plain = team.name.toLowerCase().replaceAll(/[^\p{L}\p{N}]+/gu, '-');
    return `${plain}-${what}-${dayIn(team.timeZone, Date.now())}.${ending}`;
  };
  const whole = async (): Promise<void> => {
    setBusy(true);
    try {
      const path = `/api/teams/${team.id}/export`;
      const file = await request<TeamFile>('GET', path, undefined, LONGEST_WORK_MS);
      download(name('team', 'json'), JSON.stringify(file, null, 1), 'application/json');
    } catch (error) {
      notify(error instanceof Error ? error.message : 'The export failed. Try again.');
    }
    setBusy(false);
  };
  const sorted = people.toSorted(
    (a, b) => (a.opponentId ?? '').localeCompare(b.opponentId ?? '') || byNumber(a, b),
  );
  return (
    <>
      <Button
        variant="outline-primary"
        disabled={people.length === 0}
        onClick={() => {
          download(name('players', 'csv'), makeTable(writePeople(sorted, opponents)), 'text/csv');
        }}
      >
        <Download size={18} aria-hidden="true" /> {people.length} players, ours and theirs (CSV)
      </Button>
      <Button
        variant="outline-primary"
        disabled={all.length === 0}
        onClick={() => {
          download(
            name('times', 'csv'),
            makeTable(writeReadings(all, people, opponents)),
            'text/csv',
          );
        }}
      >
        <Download size={18} aria-hidden="true" /> {all.length} times (CSV)
      </Button>
      <Button
        variant="outline-primary"
        disabled={seasons.length === 0}
        onClick={() => {
          download(
            name('seasons', 'csv'),
            makeTable(writeBatting(seasons, people, opponents)),
            'text/csv',
          );
        }}
      >
        <Download size={18} aria-hidden="true" /> {seasons.length} batting stats (CSV)
      </Button>
      <Button
        variant="outline-primary"
        disabled={bunts.length === 0}
        onClick={() => {
          download(
            name('bunts', 'csv'),
            makeTable(writeBunts(bunts, people, opponents)),
            'text/csv',
          );
        }}
      >
        <Download size={18} aria-hidden="true" /> {bunts.length} bunts of practice (CSV)
      </Button>
      <Button
        variant="outline-primary"
        disabled={busy || team.role !== 'owner'}
        onClick={() => void whole()}
      >
        <Download size={18} aria-hidden="true" /> Everything (JSON)
      </Button>
      <p className="quiet">
        {team.role === 'owner'
          ? 'Everything but the staff is in this file. You can import it here or on another server.'
          : 'Only the team owner can export everything.'}{' '}
        These files hold names and times. Keep them safe.
      </p>
    </>
  );
}

function PeopleIn() {
  const team = useTeam();
  const client = useQueryClient();
  const { people, opponents } = usePeople(team.id);
  const known = { people, opponents, ourName: team.name };
  const makeId = idsFor(team.id);
  const kind: CsvKind<PersonColumn, Person> = {
    columns: PERSON_COLUMNS,
    noun: 'players',
    read: (lines, matching) => {
      const { rows, newOpponents } = readPeople(lines, matching, known, makeId);
      return {
        rows,
        before: newOpponents.length > 0 && (
          <p>New opponents: {newOpponents.map(({ name }) => name).join(', ')}.</p>
        ),
      };
    },
    prepare: async (lines, matching) => {
      for (const opponent of readPeople(lines, matching, known, makeId).newOpponents) {
        await request('POST', `/api/teams/${team.id}/opponents`, opponent);
      }
    },
    send: (values) =>
      request<Imported>('POST', `/api/teams/${team.id}/people/import`, { people: values }),
    words: (person) =>
      `${personLabel(person)}, ${person.positions.join(' ') || 'no position'}, throws ${person.throws}, bats ${person.bats}`,
    done: async () => {
      await client.invalidateQueries({ queryKey: ['people', team.id] });
      await client.invalidateQueries({ queryKey: ['opponents', team.id] });
    },
  };
  return (
    <>
      <p className="quiet">
        One row per player. Only the name is required. Put an opponent’s name in the Team column, or
        leave it blank for yours.
      </p>
      <CsvImport kind={kind} />
    </>
  );
}

const UNITS = [
  { value: 'ft', text: 'Feet' },
  { value: 'm', text: 'Meters' },
] as const;

function TimesIn() {
  const team = useTeam();
  const client = useQueryClient();
  const { people, opponents } = usePeople(team.id);
  const all = useReadings(team.id).all();
  const [unit, setUnit] = useState<DistanceUnit>(distanceUnit());
  const known = { people, opponents, ourName: team.name, readings: all };
  const kind: CsvKind<ReadingColumn, ReadingDraft> = {
    columns: READING_COLUMNS,
    noun: 'times',
    read: (lines, matching) => ({
      rows: readReadings(lines, matching, known, unit, idsFor(team.id)),
    }),
    send: (values) =>
      request<Imported>('POST', `/api/teams/${team.id}/readings/import`, { readings: values }),
    words: (reading) =>
      `${people.find(({ id }) => id === reading.personId)?.name ?? ''}: ${titleOf(reading)} ${seconds(reading.seconds)}`,
    done: () => client.invalidateQueries({ queryKey: ['readings', team.id] }),
    choices: (
      <Choice
        label="Leads and distances are in"
        showLabel
        options={UNITS}
        value={unit}
        onChange={setUnit}
      />
    ),
  };
  return (
    <>
      <p className="quiet">
        One row per time, in seconds: what was timed, the player's number or name, and the date.
      </p>
      <CsvImport kind={kind} />
    </>
  );
}

function SeasonsIn() {
  const team = useTeam();
  const client = useQueryClient();
  const { people, opponents } = usePeople(team.id);
  const batting = useBatting(team.id);
  const known = { people, opponents, ourName: team.name, batting: batting.all };
  const byId = new Map(people.map((person) => [person.id, person]));
  const kind: CsvKind<BattingColumn, Season> = {
    columns: BATTING_COLUMNS,
    noun: 'seasons',
    read: (lines, matching) => ({ rows: readBatting(lines, matching, known) }),
    send: (values) =>
      request<Imported>('POST', `/api/teams/${team.id}/batting/import`, { batting: values }),
    words: ({ personId, plateAppearances, hits }) => {
      const person = byId.get(personId);
      return `${person ? personLabel(person) : ''}, ${String(hits)} hits in ${String(plateAppearances)} PA`;
    },
    done: () => client.invalidateQueries({ queryKey: ['batting', team.id] }),
  };
  return (
    <>
      <p className="quiet">
        One row per batter with season totals. It replaces the totals on file. If there is no PA
        column, at bats, walks, hit by pitch and sacrifices are added up.
      </p>
      <CsvImport kind={kind} />
    </>
  );
}

function BuntsIn() {
  const team = useTeam();
  const { people, opponents } = usePeople(team.id);
  const { practice, refresh } = useBunters(team.id);
  const known = { people, opponents, ourName: team.name, bunts: practice };
  const byId = new Map(people.map((person) => [person.id, person]));
  const kind: CsvKind<BuntColumn, BuntOfFile> = {
    columns: BUNT_COLUMNS,
    noun: 'bunts',
    read: (lines, matching) => ({ rows: readBunts(lines, matching, known, idsFor(team.id)) }),
    send: async (values) => {
      await request('POST', `/api/teams/${team.id}/bunts`, { rows: values });
      return { added: values.length, alreadyThere: 0 };
    },
    words: ({ personId, result, lane }) => {
      const person = byId.get(personId);
      return `${person ? personLabel(person) : ''}: ${result}${lane ? `, ${lane}` : ''}`;
    },
    done: refresh,
  };
  return (
    <>
      <p className="quiet">
        One row per bunt: the player, the result (fair, foul, missed, popped), where it went, and
        the date.
      </p>
      <CsvImport kind={kind} />
    </>
  );
}
