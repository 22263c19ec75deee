import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { personLabel } from '../people/index.ts';

/** Who goes, in the order in which they are chosen: one, a pair or a whole line. */
export function LinePicker({
  players,
  line,
  onChange,
  label = 'Who goes',
  isOrdered = true,
}: {
  players: readonly Person[];
  line: readonly PersonId[];
  onChange: (line: PersonId[]) => void;
  label?: string;
  /** The order matters, and is shown. */
  isOrdered?: boolean;
}) {
  return (
    <fieldset className="line-picker">
      <legend className="choice-label">{label}</legend>
      {players.map((person) => {
        const place = line.indexOf(person.id);
        return (
          <label key={person.id} className="line-player">
            <input
              type="checkbox"
              checked={place >= 0}
              onChange={() => {
                onChange(place >= 0 ? line.filter((id) => id !== person.id) : [...line, person.id]);
              }}
            />
            <span>
              {personLabel(person)}
              {isOrdered && place >= 0 && <small className="figure">{place + 1}</small>}
            </span>
          </label>
        );
      })}
    </fieldset>
  );
}
