/**
 * Makes a function that remembers its last result for each key, and gives it again while it is asked
 * the same: the many parts of a screen that ask about one team share one answer.
 * Two lists are the same when their items are.
 */
export function keepLast<Args extends readonly unknown[], Result>(
  make: (...args: Args) => Result,
): (key: string, ...args: Args) => Result {
  const kept = new Map<string, { args: Args; result: Result }>();
  return (key, ...args) => {
    const last = kept.get(key);
    if (last?.args.every((arg, index) => isSame(arg, args[index]))) return last.result;
    const result = make(...args);
    kept.set(key, { args, result });
    return result;
  };
}

/** Whether two sets of props are the same in this sense, for React's memo. */
export function sameProps<Props extends object>(a: Props, b: Props): boolean {
  const keys = Object.keys(a) as (keyof Props)[];
  return keys.length === Object.keys(b).length && keys.every((key) => isSame(a[key], b[key]));
}

function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (!Array.isArray(a) || !Array.isArray(b) || a.length !== b.length) return false;
  return a.every((item, index) => item === b[index]);
}
