import type { Person } from '@bradyon/core/people';
import { populationKey, typedSeconds, type ReadingContext } from '@bradyon/core/timing';
import type { TeamId } from '@bradyon/core/units';
import { create } from 'zustand';
import { secondsProblem } from '../timing/index.ts';

/** A time that can be supposed of somebody: what it is, and what is known of it. */
export interface WhatIfTime {
  person: Person;
  /** With the lead that it is taken from. */
  context: ReadingContext;
  /** What it is called in a row of them: at most two words. */
  label: string;
  /** What stands while nothing is supposed. */
  usualSeconds: number;
}

/** What was typed, and the lead it was typed for. */
interface Typed {
  text: string;
  leadFeet: number | null;
}

/** Forgotten with the page, and never among the times: a what-if is nobody's time. */
const useTyped = create<{ byKey: Readonly<Record<string, Typed>> }>()(() => ({ byKey: {} }));

const keyOf = (teamId: TeamId, { person, context }: Asked): string =>
  `${teamId} ${person.id} ${populationKey(context)}`;

type Asked = Pick<WhatIfTime, 'person' | 'context'>;

/** What is typed in place of a time, read as seconds. */
export interface Supposed {
  text: string;
  /** undefined: nothing, or nothing that can be that time. */
  seconds: number | undefined;
  /** What to enter instead. */
  problem: string | null;
  /** The lead it was typed for. */
  leadFeet: number | null;
}

/** @example supposedOf({ text: '141', leadFeet: null }, aDelivery) // { seconds: 1.41, problem: null, … } */
export function supposedOf(typed: Typed | undefined, context: ReadingContext): Supposed {
  if (!typed || typed.text.trim() === '')
    return { text: typed?.text ?? '', seconds: undefined, problem: null, leadFeet: null };
  const seconds = typedSeconds(typed.text);
  const problem = secondsProblem(context, seconds);
  return { ...typed, seconds: problem === null ? (seconds ?? undefined) : undefined, problem };
}

/** What is supposed of the people of a team. */
export function useSupposedTimes(teamId: TeamId) {
  const { byKey } = useTyped();
  return {
    of: (asked: Asked): Supposed => supposedOf(byKey[keyOf(teamId, asked)], asked.context),
    set: (asked: Asked, text: string): void => {
      useTyped.setState((state) => ({
        byKey: {
          ...state.byKey,
          [keyOf(teamId, asked)]: { text, leadFeet: asked.context.leadFeet },
        },
      }));
    },
    forget: (asked: readonly Asked[]): void => {
      const gone = new Set(asked.map((each) => keyOf(teamId, each)));
      useTyped.setState((state) => ({
        byKey: Object.fromEntries(Object.entries(state.byKey).filter(([key]) => !gone.has(key))),
      }));
    },
  };
}
