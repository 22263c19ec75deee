import { TARGET_BASES } from '@bradyon/core/units';
import { CatcherSelect, FacingSelect, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useKeys } from '../../ui/index.ts';
import { BaseChoice } from './BaseChoice.tsx';
import { NobodyToTime, UndoButton } from './BatteryWatch.tsx';
import { Latest, Seen, ThumbLine } from './Seen.tsx';
import { useWatch } from './useWatch.ts';
import { WatchFace } from './WatchFace.tsx';

/** Between innings: the catcher's throws alone, one after the other. */
export function InningsWatch() {
  const team = useTeam();
  const { playing, onField, pick } = usePlaying(team.id);
  const { catcher } = onField;
  const { base } = playing;
  const hand = useWatch(team.id, 'pop', () => catcher && { personId: catcher.id, base });
  useKeys({
    Space: hand.tap,
    z: hand.undo,
    2: () => {
      pick({ base: 'second' });
    },
    3: () => {
      pick({ base: 'third' });
    },
  });
  return (
    <div className="time">
      <div className="time-hand">
        <div className="time-who">
          <FacingSelect />
          <CatcherSelect label="Catcher" />
        </div>
        <WatchFace hand={hand} about={`${catcher?.name ?? 'No catcher chosen'}, pop to ${base}`} />
        <div className="time-keys">
          <BaseChoice
            label="Throw to"
            bases={TARGET_BASES}
            value={base}
            onChange={(value) => {
              pick({ base: value });
            }}
          />
          <UndoButton hand={hand} />
        </div>
        <ThumbLine kinds={['pop']} />
      </div>
      <div className="time-seen">
        {catcher ? (
          <Seen person={catcher} role="catcher" kinds={['pop']} thrower="catcher" />
        ) : (
          <NobodyToTime who="catchers" />
        )}
        <Latest people={[catcher]} kinds={['pop']} />
      </div>
    </div>
  );
}
