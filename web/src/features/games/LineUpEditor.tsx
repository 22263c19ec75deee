import type { GamePosition, LineUp, Spot } from '@bradyon/core/games';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { X } from 'lucide-react';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { FormField, PickOne } from '../../ui/index.ts';
import { Sortable, SortableRow } from '../../ui/sortable/index.ts';
import { personLabel } from '../people/index.ts';
import {
  atPosition,
  GAME_POSITIONS,
  lineUpMisfit,
  readNumbers,
  withBatter,
  withFlex,
  withoutBatter,
} from './lineUps.ts';

/** A side's lineup: order by drag or keys, positions, and numbers typed in a row. */
export function LineUpEditor({
  title,
  people,
  lineUp,
  onChange,
  onNumbers,
}: {
  title: string;
  /** Everybody of the side. */
  people: readonly Person[];
  lineUp: LineUp;
  onChange: (lineUp: LineUp) => void;
  /** What was typed, whoever the numbers name or name nobody yet. */
  onNumbers: (numbers: readonly string[], ids: readonly (PersonId | null)[]) => void;
}) {
  const known = new Map(people.map((person) => [person.id, person]));
  const ids = lineUp.order.map(({ id }) => id);
  const bench = lineUp.bench.flatMap((id) => known.get(id) ?? []);
  const misfit = lineUpMisfit(lineUp);
  const hasDh = lineUp.order.some(({ pos }) => pos === 'DH');
  return (
    <section className="card-box lineup-editor" aria-label={title}>
      <h2>{title}</h2>
      <NumbersField people={people} onNumbers={onNumbers} />
      <Sortable
        ids={ids}
        onMove={(order) => {
          const byId = new Map(lineUp.order.map((spot) => [spot.id, spot]));
          onChange({ ...lineUp, order: order.flatMap((id) => byId.get(id) ?? []) });
        }}
      >
        <ol className="lineup-editor-list">
          {lineUp.order.map((spot, index) => (
            <Batter
              key={spot.id}
              spot={spot}
              nth={index + 1}
              name={personNamed(known.get(spot.id))}
              onPosition={(pos) => {
                onChange(atPosition(lineUp, spot.id, pos));
              }}
              onLeave={() => {
                const left = withoutBatter(lineUp, spot.id);
                onChange({ ...left, bench: [...left.bench, spot.id] });
              }}
            />
          ))}
        </ol>
      </Sortable>
      <div className="lineup-editor-more">
        {bench.length > 0 && (
          <PickOne
            label="Add batter"
            value=""
            options={[
              { value: '', text: 'Choose' },
              ...bench.map((person) => ({ value: person.id, text: personLabel(person) })),
            ]}
            onChange={(id) => {
              const person = known.get(id as PersonId);
              if (!person) return;
              const next = withBatter(lineUp, person);
              onChange({ ...next, bench: next.bench.filter((each) => each !== person.id) });
            }}
          />
        )}
        {hasDh && (
          <PickOne
            label="DH bats for"
            value={lineUp.flex?.id ?? ''}
            options={[
              { value: '', text: 'Choose' },
              ...[...(lineUp.flex ? [known.get(lineUp.flex.id)] : []), ...bench].flatMap(
                (person) => (person ? [{ value: person.id, text: personLabel(person) }] : []),
              ),
            ]}
            onChange={(id) => {
              const next = withFlex(lineUp, id === '' ? null : (id as PersonId));
              const before = lineUp.flex ? [lineUp.flex.id] : [];
              onChange({
                ...next,
                bench: [...next.bench, ...before].filter((each) => each !== id),
              });
            }}
          />
        )}
      </div>
      {misfit && (
        <p className="lineup-editor-misfit" role="status">
          {misfit}
        </p>
      )}
    </section>
  );
}

const personNamed = (person: Person | undefined): string =>
  person ? personLabel(person) : 'A deleted player';

function Batter({
  spot,
  nth,
  name,
  onPosition,
  onLeave,
}: {
  spot: Spot;
  nth: number;
  name: string;
  onPosition: (pos: GamePosition) => void;
  onLeave: () => void;
}) {
  return (
    <SortableRow id={spot.id} label={`Move ${name}, batting ${String(nth)}`}>
      <span className="figure">{nth}</span>
      <span className="lineup-editor-name">{name}</span>
      <Form.Select
        aria-label={`Position of ${name}`}
        value={spot.pos ?? ''}
        onChange={({ target }) => {
          onPosition(target.value === '' ? null : (target.value as GamePosition));
        }}
      >
        <option value="">Bats only</option>
        {GAME_POSITIONS.map((pos) => (
          <option key={pos} value={pos}>
            {pos}
          </option>
        ))}
      </Form.Select>
      <Button variant="link" aria-label={`Take ${name} out of the lineup`} onClick={onLeave}>
        <X size={18} aria-hidden="true" />
      </Button>
    </SortableRow>
  );
}

/** The order by numbers, as it stands on the card that the umpire hands over. */
function NumbersField({
  people,
  onNumbers,
}: {
  people: readonly Person[];
  onNumbers: (numbers: readonly string[], ids: readonly (PersonId | null)[]) => void;
}) {
  const [text, setText] = useState('');
  const [error, setError] = useState<string | undefined>(undefined);
  const form = useId();
  return (
    <Form
      id={form}
      noValidate
      className="lineup-editor-numbers"
      onSubmit={(event) => {
        event.preventDefault();
        const { ids, numbers, wrong } = readNumbers(text, people);
        if (wrong !== null) {
          setError(`Check “${wrong}”. Type each jersey number once.`);
          return;
        }
        if (numbers.length === 0) {
          setError('Type jersey numbers in batting order: 4 2 11.');
          return;
        }
        onNumbers(numbers, ids);
        setText('');
        setError(undefined);
      }}
    >
      <FormField label="Type the order by number" error={error}>
        {(field) => (
          <Form.Control
            {...field}
            inputMode="numeric"
            placeholder="4 2 11 5 7 8 14 15 19"
            autoComplete="off"
            value={text}
            onChange={({ target }) => {
              setText(target.value);
            }}
          />
        )}
      </FormField>
      <Button type="submit" variant="outline-primary">
        Set order
      </Button>
    </Form>
  );
}
