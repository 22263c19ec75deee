import type { Opponent } from '@bradyon/core/people';
import type { OpponentId } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import { newId, useContractForm } from '../../api/index.ts';
import { Field } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { useSaveOpponent } from './usePeople.ts';

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
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    { name: string; retired: boolean },
    Opponent
  >({
    initial: { name: opponent?.name ?? '', retired: opponent?.retired ?? false },
    contract: async () => (await import('@bradyon/contract/people')).opponentContract,
    toSend: ({ name, retired }) => ({ id, name, retired }),
    send: async (row) => {
      await save.mutateAsync({ row, isNew: opponent === null });
      onSaved(row.id);
      onClose();
    },
  });
  return (
    <Modal show centered onHide={onClose}>
      <Form noValidate onSubmit={(event) => void submit(event)}>
        <Modal.Header closeButton>
          <Modal.Title>{opponent ? `Change ${opponent.name}` : 'Add an opponent'}</Modal.Title>
        </Modal.Header>
        <Modal.Body className="person-form">
          <Field label="Name" error={errorOf('name')}>
            {(field) => (
              <Form.Control {...field} autoFocus autoComplete="off" {...form.register('name')} />
            )}
          </Field>
          {opponent && (
            <Form.Check
              id="opponent-retired"
              label="Retired: no longer offered, the times are kept"
              {...form.register('retired')}
            />
          )}
          {failure && (
            <p className="form-failure" role="alert">
              {failure}
            </p>
          )}
        </Modal.Body>
        <Modal.Footer>
          <Button variant="outline-primary" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" disabled={submitting}>
            {opponent ? 'Save' : 'Add'}
          </Button>
        </Modal.Footer>
      </Form>
    </Modal>
  );
}
