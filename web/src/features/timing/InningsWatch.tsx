import { TARGET_BASES } from '@bradyon/core/units';
import { Choice } from '../../ui/index.ts';
import { PersonSelect, SideSelect, usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { NobodyToTime, UndoButton } from './BatteryWatch.tsx';
import { Latest, Seen, ThumbLine } from './Seen.tsx';
import { useKeys } from './useKeys.ts';
import { useWatch } from './useWatch.ts';
import { WatchFace } from './WatchFace.tsx';
import { BASE_WORDS } from './words.ts';

/** Between innings: the catcher's throws alone, one after the other. */
export function InningsWatch() {
  const team = useTeam();
  const { opponents } = usePeople(team.id);
  const { playing, lineup, pick } = usePlaying(team.id);
  const { catcher } = lineup;
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
          <SideSelect
            opponents={opponents}
            value={lineup.facing}
            onChange={(facing) => {
              pick({ facing, pitcherId: null, catcherId: null });
            }}
          />
          <PersonSelect
            label="Behind the plate"
            people={lineup.catchers}
            position={{ position: 'C', players: 'Catchers' }}
            value={catcher}
            onChange={(catcherId) => {
              pick({ facing: lineup.facing, catcherId });
            }}
          />
        </div>
        <WatchFace
          hand={hand}
          about={`${catcher?.name ?? 'Nobody behind the plate'}, pop to ${base}`}
        />
        <div className="time-keys">
          <Choice
            label="Throw to"
            options={TARGET_BASES.map((value, index) => ({
              value,
              text: BASE_WORDS[value],
              hotkey: String(index + 2),
            }))}
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
          <NobodyToTime who="their catchers" />
        )}
        <Latest people={[catcher]} kinds={['pop']} />
      </div>
    </div>
  );
}
