import { STAY, WORTH_A_WORD, type Clearness, type Unit } from './ledger.ts';

/** A moment of a finished game, decided again with what was known then. */
export interface ReplayedMoment {
  /** What each option was worth on average. */
  options: readonly { name: string; worth: number }[];
  chosen: string;
  /** What the coach did then. */
  coach: string;
  /** How clear the coach's question was. */
  clearness: Clearness;
  /** The chance as it was guessed before it was shown, and as it was told; absent: not asked. */
  guess?: number;
  chance?: number;
  /** Whether they were safe; absent: it did not come to it. */
  safe?: boolean;
}

/** How a replay went: by worth, never by what came of it. Scores of 100; null where nothing counted. */
export interface ReplayScore {
  /** Moments with something at stake. */
  counted: number;
  score: number | null;
  lost: number;
  coachScore: number | null;
  coachLost: number;
  /** Yardsticks. */
  alwaysStay: number | null;
  alwaysGo: number | null;
  /** Clear calls, and how many of them were answered right. */
  clear: number;
  clearRight: number;
  guesses: number;
  guessBias: number | null;
  guessOff: number | null;
  /** Against what came of it, of those that were decided; and the model's own. */
  guessBrier: number | null;
  modelBrier: number | null;
}

const SAME = 1e-12;
const meanOf = (all: readonly number[]): number | null =>
  all.length === 0 ? null : all.reduce((sum, each) => sum + each, 0) / all.length;

/** Scores the decisions of a game that is played again. */
export function scoreReplay(moments: readonly ReplayedMoment[], unit: Unit): ReplayScore {
  const counted = moments.flatMap((moment) => {
    const worths = moment.options.map(({ worth }) => worth);
    const [best, worst] = [Math.max(...worths), Math.min(...worths)];
    return best - worst >= WORTH_A_WORD[unit] ? [{ ...moment, best, stake: best - worst }] : [];
  });
  const stakes = counted.reduce((sum, { stake }) => sum + stake, 0);
  const worthOf = ({ options }: ReplayedMoment, name: string): number => {
    const found = options.find((option) => option.name === name);
    if (!found) throw new RangeError(`no option ${name}`);
    return found.worth;
  };
  const lostBy = (of: (moment: ReplayedMoment) => number): number =>
    counted.reduce((sum, moment) => sum + moment.best - of(moment), 0);
  const scoreOf = (lost: number): number | null =>
    stakes === 0 ? null : 100 * (1 - lost / stakes);
  const lost = lostBy((moment) => worthOf(moment, moment.chosen));
  const coachLost = lostBy((moment) => worthOf(moment, moment.coach));
  const clear = counted.filter(({ clearness }) => clearness === 'clear');
  const guessed = moments.flatMap(({ guess, chance, safe }) =>
    guess === undefined || chance === undefined ? [] : [{ guess, chance, safe }],
  );
  const decided = guessed.filter(({ safe }) => safe !== undefined);
  const brier = (of: (each: { guess: number; chance: number }) => number): number | null =>
    meanOf(decided.map((each) => (of(each) - (each.safe ? 1 : 0)) ** 2));
  return {
    counted: counted.length,
    score: scoreOf(lost),
    lost,
    coachScore: scoreOf(coachLost),
    coachLost,
    alwaysStay: scoreOf(lostBy((moment) => worthOf(moment, STAY))),
    alwaysGo: scoreOf(
      lostBy(({ options }) =>
        Math.max(...options.filter(({ name }) => name !== STAY).map(({ worth }) => worth)),
      ),
    ),
    clear: clear.length,
    clearRight: clear.filter((moment) => worthOf(moment, moment.chosen) >= moment.best - SAME)
      .length,
    guesses: guessed.length,
    guessBias: meanOf(guessed.map(({ guess, chance }) => guess - chance)),
    guessOff: meanOf(guessed.map(({ guess, chance }) => Math.abs(guess - chance))),
    guessBrier: brier(({ guess }) => guess),
    modelBrier: brier(({ chance }) => chance),
  };
}
