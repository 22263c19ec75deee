import type { EventKind } from '@bradyon/core/games';

const KIND_WORDS: Record<EventKind, string> = {
  opened: 'Lineups',
  pitch: 'Pitch',
  intentionalWalk: 'Intentional walk',
  batterOut: 'Batter out',
  pick: 'Pickoff throw',
  stepOff: 'Step off',
  balk: 'Balk',
  steal: 'Steal',
  runners: 'Runners',
  appeal: 'Appeal',
  batterUp: 'Batter up',
  outOfTurn: 'Batting out of turn',
  sub: 'Substitution',
  courtesy: 'Courtesy runner',
  placed: 'Tie-breaker runner',
  absent: 'Player absent',
  arrived: 'Player arrived',
  alignment: 'Alignment',
  sign: 'Sign',
  reading: 'Time',
  advice: 'Call',
  visit: 'Mound visit',
  halfEnded: 'Half over',
  ended: 'Game over',
  correction: 'Correction',
  undo: 'Undo',
  settle: 'Settled',
};

/** What kind of entry it is, in a word or two; a kind from another version as it is named. */
export function kindWords(kind: string): string {
  return (KIND_WORDS as Record<string, string>)[kind] ?? kind;
}
