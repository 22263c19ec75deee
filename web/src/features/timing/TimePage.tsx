import type { Ruleset } from '@bradyon/core/rules';
import { lazy, Suspense, type ComponentType } from 'react';
import { useSearchParams } from 'react-router';
import { Choice, Failure, Loading, useTitle, useKeys } from '../../ui/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { BatteryWatch, type WatchProps } from './BatteryWatch.tsx';
import { InningsWatch } from './InningsWatch.tsx';
import { LeaveWatch } from './LeaveWatch.tsx';
import { OutfieldWatch } from './OutfieldWatch.tsx';
import { RunnersWatch } from './RunnersWatch.tsx';
import './TimePage.scss';
import { TimeTabs } from './TimeTabs.tsx';

/** The sheet of paper comes when it is opened: the watch is there sooner without it. */
const TypedTimes = lazy(async () => ({ default: (await import('./TypedTimes.tsx')).TypedTimes }));

type WatchName = 'battery' | 'innings' | 'runners' | 'outfield' | 'leave' | 'typed';
const WATCHES: {
  value: WatchName;
  text: string;
  hotkey: string;
  Watch: ComponentType<WatchProps>;
  /** Under which rules it makes sense; left out: under all. */
  fits?: (rules: Ruleset) => boolean;
}[] = [
  { value: 'battery', text: 'Battery', hotkey: 'B', Watch: BatteryWatch },
  { value: 'innings', text: 'Innings', hotkey: 'I', Watch: InningsWatch },
  { value: 'runners', text: 'Runners', hotkey: 'R', Watch: RunnersWatch },
  {
    value: 'leave',
    text: 'Leave',
    hotkey: 'E',
    Watch: LeaveWatch,
    fits: ({ leadRule }) => leadRule !== 'open',
  },
  { value: 'outfield', text: 'Outfield', hotkey: 'O', Watch: OutfieldWatch },
  { value: 'typed', text: 'Type', hotkey: 'T', Watch: TypedTimes },
];

/** The watch. Which one is in hand is in the address. */
export function TimePage(beside: WatchProps) {
  useTitle('Time');
  const team = useTeam();
  const { isLoading, error, retry } = usePeople(team.id);
  const [search, setSearch] = useSearchParams();
  const watches = WATCHES.filter(({ fits }) => fits?.(team.ruleset) ?? true);
  const inHand = watches.find(({ value }) => value === search.get('watch')) ?? watches[0];
  const take = (value: WatchName): void => {
    setSearch(value === 'battery' ? {} : { watch: value }, { replace: true });
  };
  useKeys(
    Object.fromEntries(
      watches.map(({ value, hotkey }) => [
        hotkey.toLowerCase(),
        () => {
          take(value);
        },
      ]),
    ),
  );
  if (error) return <Failure error={error} retry={retry} />;
  if (isLoading || !inHand) return <Loading what="your players" />;
  return (
    <div className="time-page">
      <div className="page-head time-head time-watch">
        <h1>Time</h1>
        <TimeTabs />
        <Choice
          label="Which watch"
          options={watches.map(({ value, text, hotkey }) => ({ value, text, hotkey }))}
          value={inHand.value}
          onChange={take}
        />
      </div>
      <Suspense fallback={<Loading what="the sheet" />}>
        <inHand.Watch {...beside} />
      </Suspense>
    </div>
  );
}
