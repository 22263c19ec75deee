import { timesFromRelease } from '@bradyon/core/rules';
import { callSteal, raceOf, stealTimes, type Race, type StealCall } from '@bradyon/core/steals';
import type { Person } from '@bradyon/core/people';
import type { Population } from '@bradyon/core/sprint';
import { plainContext, populationKey, type ReadingContext } from '@bradyon/core/timing';
import { notify, type Lane } from '../../ui/index.ts';
import { usePeople, usePlaying } from '../people/index.ts';
import { useSaveTeam, useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';
import { lanesOf, wordsOf, type StealWords } from './words.ts';

/** One steal worked out: numbers, picture and words. */
interface StealView {
  race: Race;
  call: StealCall;
  lanes: [Lane, Lane];
  words: StealWords;
  /** What is timed behind the three legs. */
  counted: Record<'pitcher' | 'catcher' | 'runner', Population | undefined>;
}

export type StealInView = ReturnType<typeof useSteal>;

/** Everything the Steal screen shows, for whoever is out there. */
export function useSteal() {
  const team = useTeam();
  const people = usePeople(team.id);
  const times = useTimes(team);
  const { playing, lineup, pick } = usePlaying(team.id);
  const save = useSaveTeam();
  const { role, ...draft } = team;

  const view = ((): StealView | null => {
    const { pitcher, catcher, runner } = lineup;
    if (!pitcher || !catcher || !runner) return null;
    const { base, style } = playing;
    const used = stealTimes({
      ruleset: team.ruleset,
      level: team.level,
      base,
      style,
      pitcher,
      pitcherTimes: times.of(pitcher),
      catcherTimes: times.of(catcher),
      runnerTimes: times.of(runner),
    });
    const race = raceOf(used, team.level);
    const call = callSteal(race, team.neededMarginSeconds);
    const counted = (person: Person, context: ReadingContext): Population | undefined =>
      times.of(person).find(({ key }) => key === populationKey(context));
    const pitch: ReadingContext = timesFromRelease(team.ruleset)
      ? plainContext('flight')
      : { ...plainContext('delivery'), style };
    return {
      race,
      call,
      lanes: lanesOf(race),
      words: wordsOf({ race, call, base, style, names: { pitcher, catcher, runner }, team }),
      counted: {
        pitcher: counted(pitcher, pitch),
        catcher: counted(catcher, { ...plainContext('pop'), base }),
        runner: counted(runner, { ...plainContext('steal'), base }),
      },
    };
  })();

  return {
    view,
    playing,
    lineup,
    pick,
    needed: team.neededMarginSeconds,
    mayChange: role === 'owner',
    setNeeded: (neededMarginSeconds: number) => {
      save.mutate(
        { ...draft, neededMarginSeconds },
        {
          onError: ({ message }) => {
            notify(`The margin is not saved: ${message}`);
          },
        },
      );
    },
    isLoading: people.isLoading || times.isLoading,
    error: people.error ?? times.error,
    retry: () => {
      people.retry();
      times.retry();
    },
  };
}
