import { BASES, type Base, type PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import { FacingSelect, PersonSelect, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useKeys } from '../../ui/index.ts';
import { BaseChoice } from './BaseChoice.tsx';
import { NobodyToTime, UndoButton } from './BatteryWatch.tsx';
import { Latest, Seen } from './Seen.tsx';
import { useWatch } from './useWatch.ts';
import { WatchFace } from './WatchFace.tsx';

const THROW_BASES = BASES.filter((base) => base !== 'first');

/** Their outfielders: from fielded to the ball at the base. */
export function OutfieldWatch() {
  const team = useTeam();
  const { onField } = usePlaying(team.id);
  const [base, setBase] = useState<Base>('home');
  const [pickedId, setPickedId] = useState<PersonId | null>(null);
  const fielders = onField.fielders;
  const fielder = fielders.find(({ id }) => id === pickedId) ?? fielders[0] ?? null;
  const hand = useWatch(team.id, 'outfieldThrow', () => fielder && { personId: fielder.id, base });
  useKeys({
    Space: hand.tap,
    z: hand.undo,
    2: () => {
      setBase('second');
    },
    3: () => {
      setBase('third');
    },
    4: () => {
      setBase('home');
    },
  });
  return (
    <div className="time">
      <div className="time-hand">
        <div className="time-who">
          <FacingSelect />
          <PersonSelect
            label="Outfielder"
            people={fielders}
            position={{ position: ['LF', 'CF', 'RF'], players: 'Outfielders' }}
            value={fielder}
            onChange={setPickedId}
          />
        </div>
        <WatchFace hand={hand} about={`${fielder?.name ?? 'No outfielder chosen'}, to ${base}`} />
        <div className="time-keys">
          <BaseChoice label="Throw to" bases={THROW_BASES} value={base} onChange={setBase} />
          <UndoButton hand={hand} />
        </div>
      </div>
      <div className="time-seen">
        {fielder ? (
          <Seen
            person={fielder}
            role={fielder.positions.join(', ') || 'fielder'}
            kinds={['outfieldThrow']}
          />
        ) : (
          <NobodyToTime who="outfielders" />
        )}
        <Latest people={[fielder]} kinds={['outfieldThrow']} />
      </div>
    </div>
  );
}
