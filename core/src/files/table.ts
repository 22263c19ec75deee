/** A column that a file may have. */
export interface Column<Key extends string> {
  key: Key;
  /** What it is called in our own files and on the screen. */
  title: string;
  /** Other names that files give it, in lower case. */
  aliases: readonly string[];
  needed: boolean;
}

/** Which column of the file stands for which of ours; null: none does. */
export type Matching<Key extends string> = Record<Key, number | null>;

/** One row of a file: what it gives, or why it cannot be used. `line` is its line in the file, the heading being 1. */
export type Row<T> = { line: number } & (
  { ok: true; value: T; alreadyThere: boolean } | { ok: false; reasons: string[] }
);

/** Only letters and figures, in lower case: 'Home to 1st' and 'hometo1st' are one word. */
export function plain(text: string): string {
  return text
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]/gu, '');
}

/**
 * Finds our columns by their headings; each heading is used once.
 * @param headings the file's first row
 */
export function matchColumns<Key extends string>(
  columns: readonly Column<Key>[],
  headings: readonly string[],
): Matching<Key> {
  // A sign alone is how many sheets head the shirt number.
  const free = headings.map((heading) => (heading.trim() === '#' ? 'number' : plain(heading)));
  const found = columns.map(({ key, title, aliases }) => {
    const names = [title, key, ...aliases].map(plain);
    const index = free.findIndex((heading) => heading !== '' && names.includes(heading));
    if (index !== -1) free[index] = '';
    return [key, index === -1 ? null : index];
  });
  return Object.fromEntries(found) as Matching<Key>;
}

/** The columns that the file has to have and that nothing stands for. */
export function unmatched<Key extends string>(
  columns: readonly Column<Key>[],
  matching: Matching<Key>,
): string[] {
  return columns
    .filter(({ key, needed }) => needed && matching[key] === null)
    .map(({ title }) => title);
}

/** Reads one cell: trimmed; a quote sign that a spreadsheet needs before = + - @ is taken off. */
export function cellOf<Key extends string>(
  cells: readonly string[],
  matching: Matching<Key>,
  key: Key,
): string {
  const index = matching[key];
  const text = index === null ? '' : (cells[index] ?? '').trim();
  return /^'[=+\-@]/.test(text) ? text.slice(1) : text;
}

/** A figure with a point or a comma; null when empty, NaN when it is none. @example figureOf('1,38') // 1.38 */
export function figureOf(text: string): number | null {
  return text === '' ? null : Number(text.replace(',', '.'));
}

/** The word of a vocabulary that a cell means; null when empty, undefined when it is none. */
export function wordOf<T extends string>(
  words: Record<T, readonly string[]>,
  text: string,
): T | null | undefined {
  if (text === '') return null;
  const wanted = plain(text);
  const entries = Object.entries(words) as [T, readonly string[]][];
  return entries.find(([word, names]) => [word, ...names].map(plain).includes(wanted))?.[0];
}
