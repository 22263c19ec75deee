import { callSteal, raceOf, stealTimes, type Race, type StealCall } from '@bradyon/core/steals';
import type { Reading } from '@bradyon/core/timing';
import { notify, type Lane } from '../../ui/index.ts';
import { usePeople, usePlaying } from '../people/index.ts';
import { useSaveTeam, useTeam } from '../teams/index.ts';
import { useReadings } from '../timing/index.ts';
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
  const readings = useReadings(team.id);
  const { playing, lineup, pick } = usePlaying(team.id);
  const save = useSaveTeam();
  const { role, ...draft } = team;

  const view = ((): StealView | null => {
    const { pitcher, catcher, runner } = lineup;
    if (!pitcher || !catcher || !runner) return null;
    const { base, style } = playing;
    const times = stealTimes({
      ruleset: team.ruleset,
      level: team.level,
      base,
      style,
      pitcher,
      pitcherReadings: readings.of(pitcher.id),
      catcherReadings: readings.of(catcher.id),
      runnerReadings: readings.of(runner.id),
    });
    const race = raceOf(times, team.level);
    const call = callSteal(race, team.neededMarginSeconds);
    const pitchKind = team.ruleset.sport === 'softball' ? 'flight' : 'delivery';
    return {
      race,
      call,
      lanes: lanesOf(race),
      words: wordsOf({ race, call, base, style, names: { pitcher, catcher, runner }, team }),
      counted: {
        pitcher: readings
          .of(pitcher.id)
          .filter(
            (each) => each.kind === pitchKind && (pitchKind === 'flight' || each.style === style),
          ),
        catcher: readings
          .of(catcher.id)
          .filter((each) => each.kind === 'pop' && each.base === base),
        runner: readings
          .of(runner.id)
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
    isLoading: people.isLoading || readings.isLoading,
    error: people.error ?? readings.error,
    retry: () => {
      people.retry();
      readings.retry();
    },
  };
}
