import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { X } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { Sortable, SortableRow } from '../../ui/sortable/index.ts';
import { personLabel } from '../people/index.ts';
import type { Spot } from './lineup.ts';
import { neededText, shareText, signedRuns } from './words.ts';

/** The order, moved by hand or by the keys. */
export function BattingOrder({
  spots,
  onMove,
  onChange,
  onLeave,
}: {
  spots: readonly Spot[];
  onMove: (ids: PersonId[]) => void;
  onChange: (person: Person) => void;
  onLeave: (person: Person) => void;
}) {
  const ids = spots.map(({ batter }) => batter.person.id);
  return (
    <Sortable ids={ids} onMove={onMove}>
      <div className="lineup-table card-box">
        <div className="lineup-head" aria-hidden="true">
          <span className="lineup-head-name">Batter</span>
          <span>Leading off, runs</span>
          <span>Sacrifice, runs</span>
          <span>Steal needs</span>
        </div>
        <ol className="lineup">
          {spots.map((spot, index) => (
            <Place
              key={spot.batter.person.id}
              spot={spot}
              nth={index + 1}
              onChange={onChange}
              onLeave={onLeave}
            />
          ))}
        </ol>
      </div>
    </Sortable>
  );
}

function Place({
  spot: { batter, leadingOff, buntGain, stealNeeds },
  nth,
  onChange,
  onLeave,
}: {
  spot: Spot;
  nth: number;
  onChange: (person: Person) => void;
  onLeave: (person: Person) => void;
}) {
  const { person } = batter;
  return (
    <SortableRow id={person.id} label={`Move ${person.name}, batting ${String(nth)}`}>
      <span className="figure lineup-nth">{nth}</span>
      <button
        type="button"
        className="lineup-name"
        onClick={() => {
          onChange(person);
        }}
      >
        {personLabel(person)}
        <small>{shareText(batter)}</small>
      </button>
      <span className="lineup-facts">
        <span className="lineup-fact">
          <small>leading off</small>
          <strong className="figure">{leadingOff.toFixed(2)}</strong>
        </span>
        <span className="lineup-fact">
          <small>sacrifice</small>
          <strong className="figure">
            {buntGain === null ? 'not allowed' : signedRuns(buntGain)}
          </strong>
        </span>
        <span className="lineup-fact">
          <small>steal needs</small>
          <strong className="figure">
            {stealNeeds === null ? 'not allowed' : neededText(stealNeeds)}
          </strong>
        </span>
      </span>
      <Button
        variant="link"
        aria-label={`Take ${person.name} out of the lineup`}
        onClick={() => {
          onLeave(person);
        }}
      >
        <X size={18} aria-hidden="true" />
      </Button>
    </SortableRow>
  );
}
