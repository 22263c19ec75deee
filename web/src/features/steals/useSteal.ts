import { pitchesFor } from '@bradyon/core/race';
import type { Person } from '@bradyon/core/people';
import type { Conditions } from '@bradyon/core/sprint';
import {
  coverOnDelayed,
  judgeSteal,
  stealKinds,
  type Judging,
  type StealBase,
  type StealKind,
  type StealQuestion,
  questionOf,
} from '@bradyon/core/steals';
import { notify } from '../../ui/index.ts';
import { useNeeded } from '../innings/index.ts';
import { usePeople, usePlaying } from '../people/index.ts';
import { useSaveTeam, useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';
import { leadOf, useSupposed, type Supposed } from './stealStore.ts';

/** How steals are judged here and now. */
export function judgingOf(needed: number, { pitch, count, coverFeet }: Supposed): Judging {
  return {
    needed,
    pitches: pitchesFor(pitch === null ? { count } : { pitch }),
    ...(coverFeet !== null && { cover: coverOnDelayed(coverFeet) }),
  };
}

/** The kind that was chosen as long as the rules and the base have it. */
export function kindIn(
  chosen: StealKind | null,
  ruleset: Conditions['ruleset'],
  base: StealBase,
): StealKind | null {
  const kinds = stealKinds(ruleset, base);
  return kinds.find((kind) => kind === chosen) ?? kinds[0] ?? null;
}

export type StealInView = ReturnType<typeof useSteal>;

/** Everything the Steal screen shows, for whoever is out there. */
export function useSteal() {
  const team = useTeam();
  const people = usePeople(team.id);
  const times = useTimes(team);
  const { playing, onField, pick } = usePlaying(team.id);
  const supposed = useSupposed();
  const save = useSaveTeam();
  const { role, version: _version, ...draft } = team;
  const base: StealBase = supposed.toHome ? 'home' : playing.base;
  const kind = kindIn(supposed.kind, team.ruleset, base);
  const here = useNeeded(base);
  const { pitcher, catcher, runner } = onField;

  const asked = ((): { question: StealQuestion; judging: Judging } | null => {
    if (!pitcher || !catcher || !runner || kind === null) return null;
    const leadFeet = leadOf(supposed, runner);
    const how = { base, kind, style: playing.style, batter: supposed.batter, leadFeet };
    return {
      question: questionOf(times, { pitcher, catcher, runner }, how),
      judging: judgingOf(here.needed, supposed),
    };
  })();

  return {
    view: asked && {
      ...asked,
      names: { pitcher, catcher, runner } as { pitcher: Person; catcher: Person; runner: Person },
      steal: judgeSteal(asked.question, asked.judging),
    },
    base,
    kind,
    playing,
    onField,
    supposed,
    times,
    pick,
    needed: here.needed,
    here,
    rule: team.neededChance,
    mayChange: role === 'owner',
    setNeeded: (neededChance: number) => {
      save.mutate(
        { ...draft, neededChance },
        {
          onError: ({ message }) => {
            notify(`What a steal needs was not saved: ${message}`);
          },
        },
      );
    },
    isLoading: people.isLoading || times.isLoading || !here.isCurrent,
    error: people.error ?? times.error ?? here.error,
    retry: () => {
      people.retry();
      times.retry();
      here.retry();
    },
  };
}
