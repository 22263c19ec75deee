import { useTeam } from '../teams/index.ts';
import { PersonSelect, SideSelect } from './PersonSelect.tsx';
import { usePeople } from './usePeople.ts';
import { usePlaying } from './usePlaying.ts';

/** Whose pitcher and catcher are out there; picked once, known on every screen. */
export function FacingSelect() {
  const { id } = useTeam();
  const { opponents } = usePeople(id);
  const { onField, pick } = usePlaying(id);
  return (
    <SideSelect
      label="Facing"
      own="Our own, at practice"
      opponents={opponents}
      value={onField.facing}
      onChange={(facing) => {
        pick({ facing, pitcherId: null, catcherId: null });
      }}
    />
  );
}

/** Whose runners are timed. */
export function RunningSelect() {
  const { id } = useTeam();
  const { opponents } = usePeople(id);
  const { onField, pick } = usePlaying(id);
  return (
    <SideSelect
      label="Team"
      own="Ours"
      opponents={opponents}
      value={onField.running}
      onChange={(running) => {
        pick({ running });
      }}
    />
  );
}

export function PitcherSelect({ label }: { label: string }) {
  const { onField, pick } = usePlaying(useTeam().id);
  return (
    <PersonSelect
      label={label}
      people={onField.pitchers}
      position={{ position: 'P', players: 'Pitchers' }}
      value={onField.pitcher}
      onChange={(pitcherId) => {
        pick({ facing: onField.facing, pitcherId });
      }}
    />
  );
}

export function CatcherSelect({ label }: { label: string }) {
  const { onField, pick } = usePlaying(useTeam().id);
  return (
    <PersonSelect
      label={label}
      people={onField.catchers}
      position={{ position: 'C', players: 'Catchers' }}
      value={onField.catcher}
      onChange={(catcherId) => {
        pick({ facing: onField.facing, catcherId });
      }}
    />
  );
}

export function RunnerSelect() {
  const { onField, pick } = usePlaying(useTeam().id);
  return (
    <PersonSelect
      label="Runner"
      people={onField.runners}
      value={onField.runner}
      onChange={(runnerId) => {
        pick({ runnerId });
      }}
    />
  );
}

/** Who is in a race: the runner, and the battery of whom we face. */
export function RaceSelects() {
  return (
    <div className="control-row">
      <RunnerSelect />
      <FacingSelect />
      <PitcherSelect label="Pitcher" />
      <CatcherSelect label="Catcher" />
    </div>
  );
}
