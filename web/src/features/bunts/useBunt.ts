import type { Team } from '@bradyon/contract/teams';
import {
  alignmentOf,
  ALIGNMENTS,
  BUNT_FIGURES,
  gridOf,
  skillOf,
  type Alignment,
  type AlignmentName,
  type BuntFigures,
  type BuntPlan,
  type BuntPlay,
  type BuntQuestion,
} from '@bradyon/core/bunts';
import { tableOf, type Bases } from '@bradyon/core/innings';
import type { Person, SideOfPlate } from '@bradyon/core/people';
import type { Ruleset } from '@bradyon/core/rules';
import type { Gait } from '@bradyon/core/sprint';
import type { PersonId } from '@bradyon/core/units';
import { figuresAt, type LevelName } from '@bradyon/core/timing';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { peopleOn, useOdds, valueOf } from '../innings/index.ts';
import { usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { keepLast, useTimes } from '../timing/index.ts';
import { useBunters } from './useBunters.ts';
import { useBuntDraft, useSurface } from './buntStore.ts';
import type { AskedBunt } from './bunts.worker.ts';
import { inBuntWorker } from './heavy.ts';

const figuresFor = keepLast(
  (level: LevelName, changes: Partial<Record<string, number>>): BuntFigures =>
    figuresAt(BUNT_FIGURES, level, changes),
);

/** The constants of bunting for a team. */
export function buntFigures({
  id,
  level,
  fieldChanges,
}: Pick<Team, 'id' | 'level' | 'fieldChanges'>): BuntFigures {
  return figuresFor(id, level, fieldChanges.bunts);
}

/** The bunts that the bases, the outs and the sport leave, the usual one first. */
export function playsFor(
  bases: Bases,
  outs: number,
  { sport, bats }: { sport: Ruleset['sport']; bats: SideOfPlate },
): BuntPlay[] {
  const plays: BuntPlay[] = [];
  if (outs < 2 && bases & 4) plays.push('safety', 'suicide');
  else if (outs < 2 && bases !== 0) plays.push('sacrifice');
  plays.push('hit');
  // Slaps are run from the left side.
  if (sport === 'softball' && bats !== 'right') plays.push('slap');
  return plays;
}

/** What the game calls how the infield plays, as bunts have it. */
const IN_GAME: Partial<Record<string, AlignmentName>> = {
  in: 'in',
  cornersIn: 'in',
  back: 'normal',
  middleBack: 'normal',
};

export type BuntInView = ReturnType<typeof useBunt>;

/** Everything that a bunt screen asks: who is up and on, how they stand, what it is worth. */
export function useBunt() {
  const team = useTeam();
  const odds = useOdds();
  const times = useTimes(team);
  const { onField } = usePlaying(team.id);
  const draft = useBuntDraft();
  const { surface } = useSurface();
  const figures = buntFigures(team);
  const bunters = useBunters(team.id);
  // A bunt is ours: while they bat it is asked for our next time up.
  const situation = { ...odds.situation, batting: 'we' as const };
  const { bases } = situation;
  const outs = situation.outs as 0 | 1 | 2;
  const plays = playsFor(bases, outs, {
    sport: team.ruleset.sport,
    bats: odds.up?.person.bats ?? 'switch',
  });
  const play = plays.find((each) => each === draft.play) ?? plays[0] ?? 'hit';
  const { topSpeed, accelerationSeconds } = times.field.level;
  const gaitOf = (person: Person | undefined): Gait => {
    if (!person) return { topSpeed, accelerationSeconds };
    const { fit } = times.runner(person);
    return { topSpeed: fit.topSpeed, accelerationSeconds: fit.accelerationSeconds };
  };
  const runnersOn = (
    spot: number,
    taken: Bases,
    on = peopleOn(odds.order, spot, taken),
  ): BuntQuestion['runners'] => {
    const runners: BuntQuestion['runners'] = {};
    for (const base of [1, 2, 3] as const) {
      if (taken & (1 << (base - 1))) runners[base] = gaitOf(on[base]);
    }
    return runners;
  };
  // A wheel is there only with first and second taken.
  const told = odds.inGame?.infield;
  const named = draft.alignment ?? (told ? IN_GAME[told] : undefined) ?? ALIGNMENTS[0];
  const alignmentName = named === 'wheel' && (bases & 3) !== 3 ? 'in' : named;
  const usual = alignmentOf(alignmentName, team.ruleset);
  const alignment: Alignment = {
    ...usual,
    shortToThird: draft.shortToThird ?? usual.shortToThird,
    moved: draft.moved,
  };
  const skillFor = (personId: PersonId | undefined, of: BuntPlay) =>
    bunters.skill(personId, skillOf(figures, of)).skill;
  const value = valueOf(odds.game, situation);
  const question: BuntQuestion = {
    play,
    bases,
    outs,
    strikes: odds.inGame?.strikes ?? draft.strikes,
    ruleset: team.ruleset,
    figures,
    surface,
    alignment,
    pitcherThrows: onField.pitcher?.throws ?? 'right',
    batter: gaitOf(odds.up?.person),
    runners: runnersOn(situation.spot, bases, odds.on),
    skill: skillFor(odds.up?.person.id, play),
    breakSeconds: Math.max(
      draft.breakSeconds,
      team.ruleset.leadRule === 'open' ? -9 : figures.releaseSeconds,
    ),
    value,
  };
  const { value: _value, ...plain } = question;
  const asked: AskedBunt = { ...plain, values: tableOf(value) };
  return {
    team,
    odds,
    situation,
    draft,
    alignmentName,
    surface,
    figures,
    plays,
    play,
    on: odds.on,
    /** The defense is the one that the game was told. */
    isAsTold:
      draft.alignment === null &&
      Object.keys(draft.moved).length === 0 &&
      told !== null &&
      told !== undefined &&
      told in IN_GAME,
    gaitOf,
    runnersOn,
    skillFor,
    /** What is known of the bunter who is up. */
    own: bunters.skill(odds.up?.person.id, skillOf(figures, play)),
    question,
    asked,
    isLoading: odds.isLoading || times.isLoading || !odds.isCurrent,
    error: odds.error ?? times.error,
    retry: () => {
      odds.retry();
      times.retry();
    },
  };
}

/** Directions and paces of the map that comes at once, and of the one that follows. */
const MAPS = { coarse: [30, 20], fine: [60, 40] } as const;

/** What a plan is kept by, and how: it is ours alone, and the same question has the same answer. */
export const KEPT = {
  staleTime: Number.POSITIVE_INFINITY,
  gcTime: 60_000,
  networkMode: 'always',
  structuralSharing: false,
  meta: { onlyHere: true },
} as const;

/** Where to put it: a coarse map at once, a fine one as soon as the question rests. */
export function useBuntPlan(asked: AskedBunt): {
  plan: BuntPlan | null;
  /** The plan shown is of an earlier question. */
  isOld: boolean;
  error: Error | null;
  retry: () => void;
} {
  const key = JSON.stringify(asked);
  const rested = useDeferredValue(key);
  const coarse = useQuery({
    queryKey: ['bunt', key],
    queryFn: () => inBuntWorker((heavy) => heavy.plan(asked, gridOf(asked, ...MAPS.coarse))),
    placeholderData: keepPreviousData,
    ...KEPT,
  });
  const fine = useQuery({
    queryKey: ['bunt fine', rested],
    queryFn: () => {
      const question = JSON.parse(rested) as AskedBunt;
      return inBuntWorker((heavy) => heavy.plan(question, gridOf(question, ...MAPS.fine)));
    },
    enabled: rested === key && coarse.isSuccess && !coarse.isPlaceholderData,
    ...KEPT,
  });
  return {
    plan: (rested === key ? fine.data : undefined) ?? coarse.data ?? null,
    isOld: coarse.isPlaceholderData,
    error: coarse.error,
    retry: () => {
      void coarse.refetch();
    },
  };
}
