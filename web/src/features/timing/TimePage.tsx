import { useSearchParams } from 'react-router';
import { Choice, Failure, Loading, useTitle } from '../../ui/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { BatteryWatch } from './BatteryWatch.tsx';
import { RunnerWatch } from './RunnerWatch.tsx';
import './TimePage.scss';

const WATCHES = [
  { value: 'battery', text: 'Pitcher and catcher' },
  { value: 'runner', text: 'Runner' },
] as const;

/** The watch. Which one is in hand is in the address. */
export function TimePage() {
  useTitle('Time');
  const team = useTeam();
  const { isLoading, error, retry } = usePeople(team.id);
  const [search, setSearch] = useSearchParams();
  const watch = search.get('watch') === 'runner' ? 'runner' : 'battery';
  if (error) return <Failure error={error} retry={retry} />;
  if (isLoading) return <Loading what="your people" />;
  return (
    <>
      <div className="page-head time-head">
        <h1>Time</h1>
        <Choice
          label="Which watch"
          options={WATCHES}
          value={watch}
          onChange={(value) => {
            setSearch(value === 'battery' ? {} : { watch: value }, { replace: true });
          }}
        />
      </div>
      {watch === 'battery' ? <BatteryWatch /> : <RunnerWatch />}
    </>
  );
}
