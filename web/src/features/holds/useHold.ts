import { holding, type Holding } from '@bradyon/core/holds';
import { byNumber, type Opponent, type Person, type Position } from '@bradyon/core/people';
import { pitchesFor } from '@bradyon/core/race';
import { questionOf, stealKinds, type Judging, type StealQuestion } from '@bradyon/core/steals';
import type { OpponentId, PersonId } from '@bradyon/core/units';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { useLeads } from '../leads/index.ts';
import { orTypical, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';

/** Who holds whom, as the coach picked it; nobody picked is the first that fits. */
interface Picked {
  pitcherId: PersonId | null;
  catcherId: PersonId | null;
  opponentId: OpponentId | null;
  runnerId: PersonId | null;
}
export const useHoldPicked = create<Picked>()(
  persist((): Picked => ({ pitcherId: null, catcherId: null, opponentId: null, runnerId: null }), {
    name: 'bradyon-hold',
  }),
);

const playing = (people: readonly Person[], position: Position): Person[] =>
  people.toSorted(
    (a, b) => Number(b.positions.includes(position)) - Number(a.positions.includes(position)),
  );

/** Our battery and their runners, with the race between them. */
export function useHold() {
  const team = useTeam();
  const { people, opponents } = usePeople(team.id);
  const leads = useLeads({ whatIf: false });
  const picked = useHoldPicked();
  const active = people.filter(({ retired }) => !retired).toSorted(byNumber);
  const ours = active.filter(({ opponentId }) => opponentId === null);
  const pitchers = playing(ours, 'P');
  const catchers = playing(ours, 'C');
  const open = opponents.filter(({ retired }) => !retired);
  const opponent: Opponent | null =
    open.find(({ id }) => id === picked.opponentId) ?? open[0] ?? null;
  const runners = active
    .filter(({ opponentId }) => opponent !== null && opponentId === opponent.id)
    .map(leads.looks.led);
  const of = (all: readonly Person[], id: PersonId | null): Person | null =>
    all.find((person) => person.id === id) ?? all[0] ?? null;
  const names = {
    pitcher: orTypical(of(pitchers, picked.pitcherId), 'pitcher'),
    catcher: orTypical(of(catchers, picked.catcherId), 'catcher'),
    runner: orTypical(of(runners, picked.runnerId), 'runner'),
  };
  const [kind] = stealKinds(team.ruleset, 'second');
  const judging: Judging = {
    needed: team.neededChance,
    pitches: pitchesFor({ count: null }),
  };
  const onPitchOut: Judging = { ...judging, pitches: pitchesFor({ pitch: 'pitchout' }) };
  const questionBy = (who: typeof names): StealQuestion | null =>
    kind === undefined
      ? null
      : questionOf(leads.times, who, {
          base: 'second',
          kind,
          style: 'legLift',
          batter: null,
          leadFeet: who.runner.leadFeet,
        });
  return {
    team,
    leads,
    names,
    pitchers,
    catchers,
    opponents: open,
    opponent,
    runners,
    judging,
    question: questionBy(names),
    /** What it takes of a battery against a runner; null: nobody may steal. */
    holdingOf: (who: typeof names): Holding | null => {
      const question = questionBy(who);
      return question && holding(question, judging, onPitchOut);
    },
    isLoading: leads.isLoading,
    error: leads.error,
    retry: leads.retry,
  };
}

export type Hold = ReturnType<typeof useHold>;
