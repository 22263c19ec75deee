import type { Random } from '../maths/index.ts';
import type { SignPlay } from './system.ts';

/** Codes of three digits, each a play or nothing on. Any one digit misheard is off the card. */
export interface NumberCard {
  issue: number;
  codes: { code: string; play: SignPlay | null }[];
}

/** Ten issues share no code: last week's card answers nothing at all. */
const EPOCH = 10;
const ALPHAS = [1, 3, 7, 9] as const;
/** Nine would let a swap of the last two digits through. */
const BETAS = [1, 3, 7] as const;

/** How an epoch's third digit comes of the others, and the order of its ten issues. */
function epochLaw(random: Random): { alpha: number; beta: number; order: number[] } {
  const alpha = pick(random, ALPHAS);
  const beta = pick(
    random,
    BETAS.filter((each) => each !== alpha),
  );
  return { alpha, beta, order: shuffled(random, [0, 1, 2, 3, 4, 5, 6, 7, 8, 9]) };
}

/**
 * A card of an epoch. No two codes differ in one digit only, and none is another with neighbours swapped.
 * @param epoch a source of randomness of this epoch, the same for its ten issues; secret where the card is
 * @param issue from 0 through all epochs
 * @param shares how many codes each play has; the rest say nothing
 * @throws RangeError when there are not so many codes
 */
export function issueNumberCard(
  epoch: Random,
  issue: number,
  shares: readonly { play: SignPlay; codes: number }[],
  size: number,
): NumberCard {
  const { alpha, beta, order } = epochLaw(epoch);
  const shift = order[issue % EPOCH] ?? 0;
  const taken = new Set<string>();
  for (const pair of shuffled(
    epoch,
    Array.from({ length: 100 }, (_, index) => index),
  )) {
    if (taken.size === size) break;
    const [a, b] = [Math.floor(pair / 10), pair % 10];
    const code = `${String(a)}${String(b)}${String((alpha * a + beta * b + shift) % 10)}`;
    const [one = '', two = '', three = ''] = code;
    const swaps = [`${two}${one}${three}`, `${one}${three}${two}`];
    if (swaps.some((swap) => swap !== code && taken.has(swap))) continue;
    taken.add(code);
  }
  if (taken.size < size) throw new RangeError('issueNumberCard needs fewer codes');
  const live = shares.flatMap(({ play, codes }) => Array.from({ length: codes }, () => play));
  if (live.length > size) throw new RangeError('issueNumberCard needs a larger card');
  const mixed = shuffled<SignPlay | null>(epoch, [
    ...live,
    ...Array.from({ length: size - live.length }, () => null),
  ]);
  const codes = [...taken].map((code, index) => ({ code, play: mixed[index] ?? null }));
  return { issue, codes: codes.toSorted((a, b) => (a.code < b.code ? -1 : 1)) };
}

function pick<T>(random: Random, list: readonly T[]): T {
  const found = list[Math.floor(random() * list.length)];
  if (found === undefined) throw new RangeError('pick needs a list');
  return found;
}

/** Fisher and Yates. */
function shuffled<T>(random: Random, list: readonly T[]): T[] {
  const mixed = [...list];
  for (let index = mixed.length - 1; index > 0; index -= 1) {
    const other = Math.floor(random() * (index + 1));
    const [one, two] = [mixed[index], mixed[other]];
    mixed[index] = two as T;
    mixed[other] = one as T;
  }
  return mixed;
}
