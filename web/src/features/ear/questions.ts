import type { HeardChain } from '@bradyon/core/ear';
import type { TeamId } from '@bradyon/core/units';
import { create } from 'zustand';
import type { Listening } from './useEar.ts';

/** What the coach is asked about: what it may be, and all that goes with it as it was then. */
export interface Question {
  id: number;
  teamId: TeamId;
  /** Why: two sounds fit, or one is not sure. */
  why: 'unsure' | 'several';
  chains: readonly HeardChain[];
  listening: Listening;
}

/** More than a coach answers between two pitches. */
const MOST_QUESTIONS = 6;

/** What is still to be answered, newest first: it waits while the coach is on another page. */
const useAll = create<{ questions: readonly Question[] }>(() => ({ questions: [] }));

export function useQuestions(teamId: TeamId): readonly Question[] {
  const all = useAll(({ questions }) => questions);
  return all.filter((each) => each.teamId === teamId);
}

export function ask(question: Question): void {
  useAll.setState(({ questions }) => ({
    questions: [question, ...questions].slice(0, MOST_QUESTIONS),
  }));
}

export function answered(id: number): void {
  useAll.setState(({ questions }) => ({ questions: questions.filter((each) => each.id !== id) }));
}
