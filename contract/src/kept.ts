import { number, required } from './rule.ts';

/**
 * A record that is replaced as a whole, as it is kept. A change carries the version it was made
 * from; when somebody else was quicker it is refused, and says what is different now.
 */
export type Kept<T> = T & {
  /** Counts up with every change, from 1; 0: not kept yet. */
  version: number;
};

export const versionField = required(
  number('Send the version that this change was made from.', {
    min: 0,
    max: 2 ** 31 - 1,
    whole: true,
  }),
);
