import type { GameState } from '../games/index.ts';
import type { Gamble } from '../innings/index.ts';
import type { Person } from '../people/index.ts';
import { pitchesFor } from '../race/index.ts';
import {
  doubleSteal,
  judgeSteal,
  questionOf,
  stealKinds,
  type KnownPeople,
  type Steal,
  type StealBase,
  type StealKind,
  type StealQuestion,
} from '../steals/index.ts';
import type { DeliveryStyle } from '../timing/index.ts';
import type { PersonId } from '../units/index.ts';
import type { JudgedSteal } from './plays.ts';

/** A steal that somebody on base may try on the next pitch, judged. */
export interface StealHere {
  base: StealBase;
  kind: StealKind;
  gamble: Extract<Gamble, 'stealSecond' | 'stealThird' | 'stealHome'>;
  runner: Person;
  question: StealQuestion;
  steal: Steal;
}

const WAYS = [
  { from: 1, to: 2, base: 'second', gamble: 'stealSecond' },
  { from: 2, to: 3, base: 'third', gamble: 'stealThird' },
  { from: 3, to: 4, base: 'home', gamble: 'stealHome' },
] as const;

/** How what is needed here is asked for; a gamble that has no figure is asked by the team's own rule. */
export type NeededFor = (gamble: StealHere['gamble']) => number;

/**
 * Every steal that those on base may try, with the battery that is out there: the usual kind first for
 * each base, the nearest base first. Where a base is taken nobody goes there, unless all go together.
 * @param personOf whoever is known by an id; null: then nothing can be said of them
 * @param style how the next pitch is expected to be delivered
 */
export function stealsHere(
  bases: GameState['bases'],
  times: KnownPeople,
  personOf: (id: PersonId | null) => Person | null,
  {
    needed,
    style,
    battery,
    batter,
    together = false,
  }: {
    needed: NeededFor;
    style: DeliveryStyle;
    battery: { pitcher: Person; catcher: Person };
    batter: Person | null;
    together?: boolean;
  },
): StealHere[] {
  return WAYS.flatMap(({ from, to, base, gamble }): StealHere[] => {
    const runner = personOf(bases[from]);
    if (!runner || (!together && to !== 4 && bases[to] !== null)) return [];
    return stealKinds(times.field.ruleset, base).map((kind): StealHere => {
      const question = questionOf(
        times,
        { ...battery, runner },
        { base, kind, style, leadFeet: runner.leadFeet, batter: sideOf(batter) },
      );
      const steal = judgeSteal(question, {
        needed: needed(gamble),
        pitches: pitchesFor({ count: null }),
      });
      return { base, kind, gamble, runner, question, steal };
    });
  });
}

function sideOf(batter: Person | null): 'right' | 'left' | null {
  return batter && batter.bats !== 'switch' ? batter.bats : null;
}

/** What the ranking of plays needs of them; two who go together where first and second are taken. */
export function judgedOf(here: readonly StealHere[], both: readonly StealHere[]): JudgedSteal[] {
  const alone = here.map(({ gamble, kind, steal }): JudgedSteal => {
    const { chance, low, high, verdict } = steal;
    return { gamble, kind, chance, low, high, verdict };
  });
  const toThird = both.find(({ base }) => base === 'third');
  const toSecond = both.find(({ base }) => base === 'second');
  if (!toThird || !toSecond) return alone;
  const { chance } = doubleSteal(toThird.steal, toSecond.steal);
  const { low, high, verdict } = toThird.steal;
  const moved = (end: number): number =>
    Math.min(1, Math.max(0, end + chance - toThird.steal.chance));
  return [
    ...alone,
    {
      gamble: 'doubleSteal',
      kind: toThird.kind,
      chance,
      low: moved(low),
      high: moved(high),
      verdict,
    },
  ];
}

/** The last digits of the ball's time to the bag, as they are called to a runner. @example sumAloud(3.47) // 'Four-seven' */
export function sumAloud(seconds: number): string {
  const digits = seconds.toFixed(2).slice(-2);
  const words = ['oh', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];
  const [tens = 0, ones = 0] = digits.split('').map(Number);
  const said = `${words[tens] ?? ''}-${words[ones] ?? ''}`;
  return said.slice(0, 1).toUpperCase() + said.slice(1);
}
