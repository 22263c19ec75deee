import {
  armByThrows,
  habitsOf,
  BASES_FIGURES,
  usualArm,
  OUTFIELD_SHADES,
  usualOutfieldSpot,
  type BasesFigures,
  type Outfielder,
  type OutfieldHabits,
  type OutfieldShade,
} from '@bradyon/core/bases';
import type { Person } from '@bradyon/core/people';
import type { Gait } from '@bradyon/core/sprint';
import { figuresAt, type LevelName } from '@bradyon/core/timing';
import type { Bag, Place } from '@bradyon/core/units';
import { useOdds, valueOf } from '../innings/index.ts';
import { usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { keepLast, useTimes } from '../timing/index.ts';
import { useBasesDraft, type ArmLook } from './basesStore.ts';
import { useLooks } from './useLooks.ts';

const figuresFor = keepLast(
  (level: LevelName, changes: Partial<Record<string, number>>): BasesFigures =>
    figuresAt(BASES_FIGURES, level, changes),
);

/** An outfielder's arm, and what it rests on. */
export interface ArmInView {
  mph: number;
  look: ArmLook;
  person: Person | null;
  /** How many throws were timed. */
  count: number;
}

const BAGS: Record<string, Bag> = { second: 2, third: 3, home: 4 };

export type BasesInView = ReturnType<typeof useBases>;

/** Everything that a screen about the bases asks: who runs, who throws, what it is worth. */
export function useBases() {
  const team = useTeam();
  const odds = useOdds();
  const times = useTimes(team);
  const people = usePeople(team.id);
  const { onField } = usePlaying(team.id);
  const looks = useLooks(team.id);
  const draft = useBasesDraft();
  const figures = figuresFor(team.id, team.level, team.fieldChanges.bases);
  // Our runners: while they bat it is asked for our next time up.
  const situation = { ...odds.situation, batting: 'we' as const };
  const { topSpeed, accelerationSeconds } = times.field.level;
  const gaitOf = (person: Person | undefined): Gait => {
    if (!person) return { topSpeed, accelerationSeconds };
    const { fit } = times.runner(person);
    return { topSpeed: fit.topSpeed, accelerationSeconds: fit.accelerationSeconds };
  };
  const outfielderOf = (position: Outfielder): Person | null =>
    people.people.find(
      ({ opponentId, positions, retired }) =>
        opponentId !== null &&
        opponentId === onField.facing &&
        !retired &&
        positions[0] === position,
    ) ?? null;
  /** Timed if he was, else the level's; or as he looks. */
  const armOf = (position: Outfielder, look: ArmLook = draft.arm): ArmInView => {
    const person = outfielderOf(position);
    const usual = usualArm(position, figures);
    const timed = times
      .of(person)
      .filter(({ context, estimate }) => context.kind === 'outfieldThrow' && estimate !== null)
      .flatMap(({ context, estimate }) => {
        const bag = BAGS[context.base ?? ''];
        const mph =
          bag && estimate
            ? armByThrows(estimate.meanSeconds, position, bag, team.ruleset, figures)
            : null;
        return mph === null || !estimate ? [] : [{ mph, count: estimate.count }];
      })
      .toSorted((a, b) => b.count - a.count)[0];
    if (look === 'timed' && timed && timed.count > 0) {
      // Few throws pull the level's arm only as far as they are many.
      const own = timed.count / (timed.count + LEVEL_THROWS);
      return { mph: own * timed.mph + (1 - own) * usual, look, person, count: timed.count };
    }
    const by = look === 'strong' ? figures.strongArm : look === 'weak' ? -figures.strongArm : 0;
    return { mph: usual + by, look: look === 'timed' ? 'usual' : look, person, count: 0 };
  };
  /** By what was seen of whoever plays there, else as is usual. */
  const habitsFor = (position: Outfielder): OutfieldHabits => {
    const person = outfielderOf(position);
    return habitsOf(person ? looks.of(person.id) : [], figures.bobbles);
  };
  const spotOf = (position: Outfielder): Place =>
    draft.moved[position] ??
    usualOutfieldSpot(position, figures, shadeOf(odds.inGame?.outfield ?? null));
  return {
    team,
    odds,
    situation,
    draft,
    figures,
    on: odds.on,
    gaitOf,
    armOf,
    outfielderOf,
    looks,
    habitsFor,
    spotOf,
    value: valueOf(odds.game, situation),
    isLoading:
      odds.isLoading || times.isLoading || people.isLoading || looks.isLoading || !odds.isCurrent,
    error: odds.error ?? times.error ?? people.error,
    retry: () => {
      odds.retry();
      times.retry();
      people.retry();
    },
  };
}

/** So many throws the level's arm counts. Judgement. */
const LEVEL_THROWS = 2;

function shadeOf(told: string | null): OutfieldShade {
  return OUTFIELD_SHADES.find((shade) => shade === told) ?? 'straight';
}
