import { byNumber, type Person } from '@bradyon/core/people';
import type { Reading } from '@bradyon/core/timing';
import type { PersonId, ReadingId } from '@bradyon/core/units';
import { useState } from 'react';
import { newId } from '../../api/index.ts';
import { FormDialog, notify, seconds } from '../../ui/index.ts';
import { PersonSelect, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { titleOf } from './words.ts';
import { readingWrite } from './writes.ts';

/**
 * Gives a reading to whom it belonged. Readings never change: this one is set aside as the wrong
 * person's, and an equal one is made for the right one.
 */
export function MoveDialog({
  reading,
  owner,
  onClose,
}: {
  reading: Reading;
  owner: Person;
  onClose: () => void;
}) {
  const { id: teamId } = useTeam();
  const { people } = usePeople(teamId);
  const others = people
    .filter(
      ({ id, opponentId, retired }) =>
        opponentId === owner.opponentId && !retired && id !== owner.id,
    )
    .toSorted(byNumber);
  const [pickedId, setPickedId] = useState<PersonId | null>(null);
  const picked = others.find(({ id }) => id === pickedId) ?? null;

  const move = (): void => {
    if (!picked) return;
    const {
      timedBy: _by,
      timedByName: _name,
      asideReason: _aside,
      vouched: _vouched,
      ...parts
    } = reading;
    const draft = { ...parts, id: newId<ReadingId>(), personId: picked.id, movedFrom: reading.id };
    const aside = (readingId: ReadingId, isAside: boolean): void => {
      readingWrite.send(teamId, {
        step: 'judge',
        readingId,
        reason: isAside ? 'wrong person' : null,
        vouched: reading.vouched,
      });
    };
    readingWrite.send(teamId, { step: 'add', draft });
    aside(reading.id, true);
    notify(`${seconds(reading.seconds)} now belongs to ${picked.name}`, () => {
      aside(reading.id, false);
      aside(draft.id, true);
    });
    onClose();
  };
  return (
    <FormDialog
      title={`${titleOf(reading)}, ${seconds(reading.seconds)}`}
      action="Move"
      failure={null}
      submitting={picked === null}
      submit={(event) => {
        event?.preventDefault();
        move();
        return Promise.resolve();
      }}
      onClose={onClose}
    >
      <p>Timed as {owner.name}&rsquo;s. Whose was it?</p>
      {others.length === 0 ? (
        <p className="quiet">Nobody else is on this team. Add a player under Team first.</p>
      ) : (
        <PersonSelect label="It was" people={others} value={picked} onChange={setPickedId} />
      )}
    </FormDialog>
  );
}
