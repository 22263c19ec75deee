import type { ImportProgress } from '@bradyon/contract/files';
import type { Misfit } from '@bradyon/contract/rule';
import type { Team } from '@bradyon/contract/teams';
import type { TeamId } from '@bradyon/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useNavigate } from 'react-router';
import { newId, RefusedError, request } from '../../api/index.ts';
import { FormField, notify } from '../../ui/index.ts';

const SHOWN_FAULTS = 20;

/** As much of a file as is looked at here: the server checks it whole. */
interface Outline {
  team: { name: string };
  people: unknown[];
  opponents: unknown[];
  readings: unknown[];
}

function outlineOf(content: unknown): Outline | null {
  const file = content as (Partial<Outline> & { format?: unknown }) | null;
  const isOne =
    file?.format === 'bradyon-team' &&
    typeof file.team?.name === 'string' &&
    [file.people, file.opponents, file.readings].every(Array.isArray);
  return isOne ? (file as Outline) : null;
}

/** A whole team from its file, as a team of its own. */
export function TeamFileImport() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [file, setFile] = useState<Outline | null>(null);
  const [faults, setFaults] = useState<readonly Misfit[]>([]);
  /** The team on its way. */
  const [coming, setComing] = useState<TeamId | null>(null);

  const open = async (chosen: File | undefined): Promise<void> => {
    setFile(null);
    setFaults([]);
    if (!chosen) return;
    let found: Outline | null = null;
    try {
      found = outlineOf(JSON.parse(await chosen.text()));
    } catch {
      // Said below, like any other file.
    }
    setFile(found);
    if (!found)
      setFaults([{ path: '', message: 'Choose a team file (JSON) exported from Bradyon.' }]);
  };

  const make = async (): Promise<void> => {
    if (!file) return;
    const id = newId<TeamId>();
    setComing(id);
    try {
      const team = await request<Team>('POST', '/api/teams/import', { id, file });
      await client.invalidateQueries({ queryKey: ['teams'] });
      await navigate(`/teams/${team.id}/people`);
      notify(`${team.name} imported`);
    } catch (error) {
      if (error instanceof RefusedError && error.problem.errors.length > 0) {
        setFaults(error.problem.errors);
      } else {
        const message =
          error instanceof Error ? error.message : 'The team was not imported. Try again.';
        setFaults([{ path: '', message }]);
      }
      setComing(null);
    }
  };
  return (
    <>
      <FormField
        label="Team file (JSON)"
        hint="It becomes a new team. This team does not change."
        error={
          faults[0] && (faults.length === 1 ? wordsOf(faults[0]) : 'This file cannot be used:')
        }
      >
        {(field) => (
          <Form.Control
            {...field}
            type="file"
            accept=".json,application/json"
            onChange={({ target }) => void open((target as HTMLInputElement).files?.[0])}
          />
        )}
      </FormField>
      {faults.length > 1 && (
        <ul className="csv-bad" role="alert">
          {faults.slice(0, SHOWN_FAULTS).map((fault) => (
            <li key={`${fault.path} ${fault.message}`}>{wordsOf(fault)}</li>
          ))}
        </ul>
      )}
      {file && (
        <>
          <p role="status">
            <strong>{file.team.name}</strong>: {file.people.length} players, {file.opponents.length}{' '}
            opponents, {file.readings.length} times.
          </p>
          <Button disabled={coming !== null} onClick={() => void make()}>
            Import as a new team
          </Button>
          {coming && <Progress id={coming} />}
        </>
      )}
    </>
  );
}

const ASK_MS = 500;
const STAGES = { reading: 'Sending', checking: 'Checking', saving: 'Saving' } as const;

/** How far the file is, as the server says. */
function Progress({ id }: { id: TeamId }) {
  const [progress, setProgress] = useState<ImportProgress>({ stage: 'reading', done: 0, of: 0 });
  useEffect(() => {
    const timer = setInterval(() => {
      request<ImportProgress>('GET', `/api/teams/imports/${id}`).then(setProgress, () => undefined);
    }, ASK_MS);
    return () => {
      clearInterval(timer);
    };
  }, [id]);
  const { stage, done, of } = progress;
  const share = stage === 'saving' && of > 0 ? { value: done, max: of } : {};
  return (
    <div role="status">
      <progress className="csv-progress" aria-label="Importing the team" {...share} />
      <span className="quiet">
        {STAGES[stage]}
        {stage === 'saving' && of > 0 ? ` ${String(done)} of ${String(of)} times` : ''}
      </span>
    </div>
  );
}

function wordsOf({ path, message }: Misfit): string {
  return path === '' ? message : `${path}: ${message}`;
}
