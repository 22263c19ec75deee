import { HANDS, POSITIONS, SIDES_OF_PLATE, type Person } from '@bradyon/core/people';
import type { OpponentId, PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { newId, useContractForm } from '../../api/index.ts';
import { Choice, FormField, FormDialog } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './PersonForm.scss';
import { usePerson, useSavePerson } from './usePeople.ts';

const HAND_WORDS = { right: 'Right', left: 'Left', switch: 'Switch' } as const;

/** Adds a player to a side, or changes one. */
export function PersonForm({
  person,
  opponentId,
  sideName,
  onClose,
}: {
  /** null: somebody new. */
  person: Person | null;
  opponentId: OpponentId | null;
  sideName: string;
  onClose: () => void;
}) {
  const team = useTeam();
  const save = useSavePerson(team.id);
  const [id] = useState(() => person?.id ?? newId<PersonId>());
  // As it is kept now: a colleague may save a change while this is open.
  const now = usePerson(team.id, id) ?? person;
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    Omit<Person, 'id' | 'opponentId'>,
    Person
  >({
    initial: now ?? {
      number: '',
      name: '',
      throws: 'right',
      bats: 'right',
      positions: opponentId === null ? [] : ['P'],
      leadFeet: null,
      retired: false,
    },
    contract: async () => (await import('@bradyon/contract/people')).personContract,
    toSend: ({ number, name, throws, bats, positions, leadFeet, retired }) => ({
      id,
      opponentId,
      number,
      name,
      throws,
      bats,
      positions,
      leadFeet,
      retired,
    }),
    send: async (row) => {
      await save.mutateAsync({ row, isNew: person === null });
      onClose();
    },
  });
  const { throws, bats, positions } = form.watch();
  return (
    <FormDialog
      title={person ? `Change ${person.name}` : `Add a player to ${sideName}`}
      action={person ? 'Save' : 'Add'}
      submit={submit}
      failure={failure}
      submitting={submitting}
      onClose={onClose}
    >
      <div className="person-form-row">
        <FormField label="Number" error={errorOf('number')}>
          {(field) => (
            <Form.Control
              {...field}
              inputMode="numeric"
              autoComplete="off"
              {...form.register('number')}
            />
          )}
        </FormField>
        <FormField label="Name" error={errorOf('name')}>
          {(field) => (
            <Form.Control {...field} autoFocus autoComplete="off" {...form.register('name')} />
          )}
        </FormField>
      </div>
      <div className="person-form-hands">
        <Choice
          label="Throws"
          showLabel
          value={throws}
          options={HANDS.map((value) => ({ value, text: HAND_WORDS[value] }))}
          onChange={(value) => {
            form.setValue('throws', value);
          }}
        />
        <Choice
          label="Bats"
          showLabel
          value={bats}
          options={SIDES_OF_PLATE.map((value) => ({ value, text: HAND_WORDS[value] }))}
          onChange={(value) => {
            form.setValue('bats', value);
          }}
        />
      </div>
      <fieldset className="person-form-positions">
        <legend>Positions</legend>
        {POSITIONS.map((position) => (
          <label key={position}>
            <input
              type="checkbox"
              checked={positions.includes(position)}
              onChange={({ target }) => {
                const others = positions.filter((each) => each !== position);
                form.setValue('positions', target.checked ? [...others, position] : others);
              }}
            />
            <span>{position}</span>
          </label>
        ))}
      </fieldset>
      {person && (
        <Form.Check
          id="person-retired"
          label="Retired (hidden from lists, times kept)"
          {...form.register('retired')}
        />
      )}
    </FormDialog>
  );
}
