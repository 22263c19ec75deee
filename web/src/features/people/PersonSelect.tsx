import type { Opponent, Person, Position } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { useId } from 'react';
import Form from 'react-bootstrap/Form';
import './PersonSelect.scss';
import type { Side } from './playing.ts';
import { personLabel } from './words.ts';

/** Picks one person; those of the position stand first. */
export function PersonSelect({
  label,
  people,
  position,
  value,
  onChange,
}: {
  label: string;
  people: readonly Person[];
  /** Named groups: who plays there, and everybody else. */
  position?: { position: Position | readonly Position[]; players: string };
  value: Person | null;
  onChange: (id: PersonId) => void;
}) {
  const id = useId();
  const plays = (person: Person): boolean =>
    !position || person.positions.some((each) => [position.position].flat().includes(each));
  const options = (list: readonly Person[]) =>
    list.map((person) => (
      <option key={person.id} value={person.id}>
        {personLabel(person)}
        {position?.position === 'P' && person.throws === 'left' ? ', left' : ''}
      </option>
    ));
  const others = people.filter((person) => !plays(person));
  return (
    <div className="person-select">
      <label htmlFor={id}>{label}</label>
      <Form.Select
        id={id}
        value={value?.id ?? ''}
        onChange={({ target }) => {
          onChange(target.value as PersonId);
        }}
      >
        {value === null && <option value="">{people.length === 0 ? 'Typical' : 'Choose'}</option>}
        {position ? (
          <>
            <optgroup label={position.players}>{options(people.filter(plays))}</optgroup>
            {others.length > 0 && <optgroup label="Others">{options(others)}</optgroup>}
          </>
        ) : (
          options(people)
        )}
      </Form.Select>
    </div>
  );
}

/** Picks a side: an opponent, or ourselves. */
export function SideSelect({
  label,
  own,
  opponents,
  value,
  onChange,
}: {
  label: string;
  /** What our own side is called here. */
  own: string;
  opponents: readonly Opponent[];
  value: Side;
  onChange: (side: Side) => void;
}) {
  const id = useId();
  return (
    <div className="person-select">
      <label htmlFor={id}>{label}</label>
      <Form.Select
        id={id}
        value={value}
        onChange={({ target }) => {
          onChange(target.value as Side);
        }}
      >
        {opponents
          .filter(({ retired }) => !retired)
          .map((opponent) => (
            <option key={opponent.id} value={opponent.id}>
              {opponent.name}
            </option>
          ))}
        <option value="ours">{own}</option>
      </Form.Select>
    </div>
  );
}
