import type { TeamFile } from '@bradyon/contract/files';
import type { Misfit } from '@bradyon/contract/rule';
import type { Team } from '@bradyon/contract/teams';
import type { TeamId } from '@bradyon/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useNavigate } from 'react-router';
import { newId, RefusedError, request } from '../../api/index.ts';
import { Field, notify } from '../../ui/index.ts';

const SHOWN_FAULTS = 20;

/** A whole team from its file: checked here, made as a team of its own. */
export function TeamFileImport() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [file, setFile] = useState<TeamFile | null>(null);
  const [faults, setFaults] = useState<readonly Misfit[]>([]);
  const [busy, setBusy] = useState(false);

  const open = async (chosen: File | undefined): Promise<void> => {
    setFile(null);
    setFaults([]);
    if (!chosen) return;
    let content: unknown;
    try {
      content = JSON.parse(await chosen.text());
    } catch {
      setFaults([{ path: '', message: 'Choose a team file (JSON) that was taken out here.' }]);
      return;
    }
    const { teamFileContract } = await import('@bradyon/contract/files');
    const checked = teamFileContract.check(content);
    if (checked.ok) setFile(checked.value);
    else setFaults(checked.errors);
  };

  const make = async (): Promise<void> => {
    if (!file) return;
    setBusy(true);
    try {
      const team = await request<Team>('POST', '/api/teams/import', { id: newId<TeamId>(), file });
      await client.invalidateQueries({ queryKey: ['teams'] });
      await navigate(`/teams/${team.id}/people`);
      notify(`${team.name} is made of the file`);
    } catch (error) {
      if (error instanceof RefusedError && error.problem.errors.length > 0) {
        setFaults(error.problem.errors);
      } else {
        const message =
          error instanceof Error ? error.message : 'The team was not made. Try again.';
        setFaults([{ path: '', message }]);
      }
      setBusy(false);
    }
  };
  return (
    <>
      <Field
        label="Team file (JSON)"
        hint="It becomes a team of its own; this one stays as it is."
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
      </Field>
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
            <strong>{file.team.name}</strong>: {file.people.length} people, {file.opponents.length}{' '}
            opponents, {file.readings.length} times.
          </p>
          <Button disabled={busy} onClick={() => void make()}>
            Make a team of it
          </Button>
          {busy && <progress className="csv-progress" aria-label="Making the team" />}
        </>
      )}
    </>
  );
}

function wordsOf({ path, message }: Misfit): string {
  return path === '' ? message : `${path}: ${message}`;
}
