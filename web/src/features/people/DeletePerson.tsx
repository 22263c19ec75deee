import type { Person } from '@bradyon/core/people';
import { useQueryClient } from '@tanstack/react-query';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useNavigate } from 'react-router';
import { request } from '../../api/index.ts';
import { FormField, FormDialog, notify } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';

/** Deletes somebody and everything timed of him; for good, so his name has to be typed. */
export function DeletePerson({ person, count }: { person: Person; count: number }) {
  const team = useTeam();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | undefined>();
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const erase = async (): Promise<void> => {
    if (typed.trim() !== person.name) {
      setProblem(`Type ${person.name} to confirm.`);
      return;
    }
    setBusy(true);
    try {
      await request('DELETE', `/api/teams/${team.id}/people/${person.id}`);
      const without = <T extends { id: string }>(rows: T[] | undefined) =>
        rows?.filter(({ id }) => id !== person.id);
      client.setQueryData<Person[]>(['people', team.id], without);
      await client.invalidateQueries({ queryKey: ['readings', team.id] });
      notify(`${person.name} and all their times were deleted`);
      await navigate(`/teams/${team.id}/people`);
    } catch (error) {
      setFailure(error instanceof Error ? error.message : 'Not deleted. Try again.');
      setBusy(false);
    }
  };
  return (
    <div className="person-delete">
      <Button
        variant="link"
        onClick={() => {
          setOpen(true);
        }}
      >
        <Trash2 size={17} aria-hidden="true" /> Delete {person.name} and times
      </Button>
      {open && (
        <FormDialog
          title={`Delete ${person.name}`}
          action="Delete forever"
          failure={failure}
          submitting={busy}
          submit={async (event) => {
            event?.preventDefault();
            await erase();
          }}
          onClose={() => {
            setOpen(false);
          }}
        >
          <p>
            {count === 1
              ? 'Their one time is deleted too.'
              : `All ${String(count)} of their times are deleted too.`}{' '}
            This cannot be undone. Retire the player to keep them, or export the team first under
            Team, Files.
          </p>
          <FormField label={`Type ${person.name}`} error={problem}>
            {(field) => (
              <Form.Control
                {...field}
                value={typed}
                autoComplete="off"
                onChange={({ target }) => {
                  setTyped(target.value);
                }}
              />
            )}
          </FormField>
        </FormDialog>
      )}
    </div>
  );
}
