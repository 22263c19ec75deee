import type { Team } from '@bradyon/contract/teams';
import {
  armByThrows,
  BASES_FIGURES,
  habitsOf,
  usualArm,
  type BasesFigures,
  type Outfielder,
  type OutfieldHabits,
} from '@bradyon/core/bases';
import type { Person } from '@bradyon/core/people';
import type { Gait } from '@bradyon/core/sprint';
import { figuresAt, type LevelName } from '@bradyon/core/timing';
import type { Bag } from '@bradyon/core/units';
import { usePeople } from '../people/index.ts';
import { keepLast, useTimes } from '../timing/index.ts';
import type { ArmLook } from './basesStore.ts';
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

/** Directions of a ball to the middle of each field, from the first-base line. */
export const DEGREES: Record<Outfielder, number> = { LF: 70, CF: 45, RF: 20 };

const BAGS: Record<string, Bag> = { second: 2, third: 3, home: 4 };

/** So many throws the level's arm counts. Judgement. */
const LEVEL_THROWS = 2;

/**
 * Who runs and who throws: gaits of ours, arms and habits of the outfield that is faced.
 * @param facing whose outfield; null: nobody's, the level's arms
 */
export function useOutfield(team: Team, facing: string | null, usualLook: ArmLook) {
  const times = useTimes(team);
  const people = usePeople(team.id);
  // Whoever came in by the code of a game sees nothing of what was seen of fielders.
  const looks = useLooks(team.id, team.role !== 'guest');
  const figures = figuresFor(team.id, team.level, team.fieldChanges.bases);
  const { topSpeed, accelerationSeconds } = times.field.level;
  const gaitOf = (person: Person | undefined): Gait => {
    if (!person) return { topSpeed, accelerationSeconds };
    const { fit } = times.runner(person);
    return { topSpeed: fit.topSpeed, accelerationSeconds: fit.accelerationSeconds };
  };
  const outfielderOf = (position: Outfielder): Person | null =>
    people.people.find(
      ({ opponentId, positions, retired }) =>
        opponentId !== null && opponentId === facing && !retired && positions[0] === position,
    ) ?? null;
  /** Timed if he was, else the level's; or as he looks. */
  const armOf = (position: Outfielder, look: ArmLook = usualLook): ArmInView => {
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
  return {
    figures,
    gaitOf,
    outfielderOf,
    armOf,
    habitsFor,
    looks,
    isLoading: times.isLoading || people.isLoading || looks.isLoading,
    error: times.error ?? people.error,
    retry: () => {
      times.retry();
      people.retry();
    },
  };
}
