import { timesFromRelease } from '@bradyon/core/rules';
import { callSteal, raceOf, stealTimes, type Race, type StealCall } from '@bradyon/core/steals';
import type { Reading } from '@bradyon/core/timing';
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
  /** The readings behind the three legs, those set aside included. */
  counted: { pitcher: Reading[]; catcher: Reading[]; runner: Reading[] };
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
    const pitchKind = timesFromRelease(team.ruleset) ? 'flight' : 'delivery';
    return {
      race,
      call,
      lanes: lanesOf(race),
      words: wordsOf({ race, call, base, style, names: { pitcher, catcher, runner }, team }),
      counted: {
        pitcher: times
          .readingsOf(pitcher.id)
          .filter(
            (each) => each.kind === pitchKind && (pitchKind === 'flight' || each.style === style),
          ),
        catcher: times
          .readingsOf(catcher.id)
          .filter((each) => each.kind === 'pop' && each.base === base),
        runner: times
          .readingsOf(runner.id)
          .filter((each) => each.kind === 'steal' && each.base === base),
      },
    };
  })();

  return {
    view,
    playing,
    lineup,
    pick,
    opponents: people.opponents,
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
