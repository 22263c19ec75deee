/** What is seen of an outfielder on one ball: a tap each. */
export const FIELDER_LOOKS = [
  'charges',
  'waits',
  'clean',
  'bobbles',
  'hitsCutoff',
  'overthrows',
  'throwsBehind',
  'asleep',
] as const;
export type FielderLook = (typeof FIELDER_LOOKS)[number];

/** How often an outfielder does something, and how many balls that rests on. */
export interface Habit {
  /** 0..1, the level's where nothing was seen. */
  share: number;
  did: number;
  seen: number;
}

/** An outfielder's habits, pulled from what is usual by what was seen. */
export interface OutfieldHabits {
  /** Comes in hard on a ball on the ground. */
  charges: Habit;
  bobbles: Habit;
  /** Throws where the cutoff man can reach it. */
  hitsCutoff: Habit;
  /** Looks for the runner who rounded too far. */
  throwsBehind: Habit;
}

/**
 * By habit: what is usual, as how many balls it counts, and the looks for and against. Judgement; that every throw can
 * be cut is how the race has it until somebody is seen to throw over the cutoff man.
 */
const USUAL = {
  charges: { share: 0.7, weight: 4, did: 'charges', not: 'waits' },
  hitsCutoff: { share: 1, weight: 6, did: 'hitsCutoff', not: 'overthrows' },
  throwsBehind: { share: 0.5, weight: 4, did: 'throwsBehind', not: 'asleep' },
} as const;
/** A bobble is rare: so many balls the level's share counts. Judgement. */
const BOBBLE_WEIGHT = 20;

/**
 * An outfielder's habits from what was seen of them.
 * @param bobbles how often one of the level bobbles a ball, 0..1
 */
export function habitsOf(looks: readonly FielderLook[], bobbles: number): OutfieldHabits {
  const habit = (
    usual: number,
    weight: number,
    [yes, no]: readonly [FielderLook, FielderLook],
  ): Habit => {
    const did = looks.filter((look) => look === yes).length;
    const seen = did + looks.filter((look) => look === no).length;
    return { share: (weight * usual + did) / (weight + seen), did, seen };
  };
  const by = ({ share, weight, did, not }: (typeof USUAL)[keyof typeof USUAL]): Habit =>
    habit(share, weight, [did, not]);
  return {
    charges: by(USUAL.charges),
    hitsCutoff: by(USUAL.hitsCutoff),
    throwsBehind: by(USUAL.throwsBehind),
    bobbles: habit(bobbles, BOBBLE_WEIGHT, ['bobbles', 'clean']),
  };
}
