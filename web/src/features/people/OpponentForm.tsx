import type { Opponent } from '@bradyon/core/people';
import type { OpponentId } from '@bradyon/core/units';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { newId, useContractForm } from '../../api/index.ts';
import { FormField, FormDialog } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { usePeople, useSaveOpponent } from './usePeople.ts';

/** Adds an opponent, renames one, retires one or brings it back. */
export function OpponentForm({
  opponent,
  onClose,
  onSaved,
}: {
  /** null: a new one. */
  opponent: Opponent | null;
  onClose: () => void;
  onSaved: (id: OpponentId) => void;
}) {
  const team = useTeam();
  const save = useSaveOpponent(team.id);
  const [id] = useState(() => opponent?.id ?? newId<OpponentId>());
  // As it is kept now: a colleague may save a change while this is open.
  const now = usePeople(team.id).opponents.find((each) => each.id === id) ?? opponent;
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    { name: string; retired: boolean },
    Opponent
  >({
    initial: { name: now?.name ?? '', retired: now?.retired ?? false },
    contract: async () => (await import('@bradyon/contract/people')).opponentContract,
    toSend: ({ name, retired }) => ({ id, name, retired }),
    send: async (row) => {
      await save.mutateAsync({ row, isNew: opponent === null });
      onSaved(row.id);
      onClose();
    },
  });
  return (
    <FormDialog
      title={opponent ? `Change ${opponent.name}` : 'Add an opponent'}
      action={opponent ? 'Save' : 'Add'}
      submit={submit}
      failure={failure}
      submitting={submitting}
      onClose={onClose}
    >
      <FormField label="Name" error={errorOf('name')}>
        {(field) => (
          <Form.Control {...field} autoFocus autoComplete="off" {...form.register('name')} />
        )}
      </FormField>
      {opponent && (
        <Form.Check
          id="opponent-retired"
          label="Retired (hidden from lists, times kept)"
          {...form.register('retired')}
        />
      )}
    </FormDialog>
  );
}
