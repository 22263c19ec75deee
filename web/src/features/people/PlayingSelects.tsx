import { useTeam } from '../teams/index.ts';
import { PersonSelect, SideSelect } from './PersonSelect.tsx';
import { usePeople } from './usePeople.ts';
import { usePlaying } from './usePlaying.ts';

/** Whose pitcher and catcher are out there; picked once, known on every screen. */
export function FacingSelect() {
  const { id } = useTeam();
  const { opponents } = usePeople(id);
  const { lineup, pick } = usePlaying(id);
  return (
    <SideSelect
      opponents={opponents}
      value={lineup.facing}
      onChange={(facing) => {
        pick({ facing, pitcherId: null, catcherId: null });
      }}
    />
  );
}

export function PitcherSelect({ label }: { label: string }) {
  const { lineup, pick } = usePlaying(useTeam().id);
  return (
    <PersonSelect
      label={label}
      people={lineup.pitchers}
      position={{ position: 'P', players: 'Pitchers' }}
      value={lineup.pitcher}
      onChange={(pitcherId) => {
        pick({ facing: lineup.facing, pitcherId });
      }}
    />
  );
}

export function CatcherSelect({ label }: { label: string }) {
  const { lineup, pick } = usePlaying(useTeam().id);
  return (
    <PersonSelect
      label={label}
      people={lineup.catchers}
      position={{ position: 'C', players: 'Catchers' }}
      value={lineup.catcher}
      onChange={(catcherId) => {
        pick({ facing: lineup.facing, catcherId });
      }}
    />
  );
}

export function RunnerSelect() {
  const { lineup, pick } = usePlaying(useTeam().id);
  return (
    <PersonSelect
      label="Runner"
      people={lineup.runners}
      value={lineup.runner}
      onChange={(runnerId) => {
        pick({ runnerId });
      }}
    />
  );
}
