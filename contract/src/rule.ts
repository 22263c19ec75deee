import Joi from 'joi';

declare const exactly: unique symbol;

/** One thing wrong with a value: where, and what to enter instead. */
export interface Misfit {
  path: string;
  message: string;
}

/**
 * Reads the values of T and no others. T is invariant: neither wider nor narrower fits.
 * `read` adds what is wrong to `found`; what it gives back counts only when nothing was added.
 */
export interface Rule<T> {
  readonly read: (value: unknown, path: string, found: Misfit[]) => T;
  readonly [exactly]?: (value: T) => T;
}

/** A rule together with whether the key may be left out. */
interface Part<T, Presence extends 'required' | 'optional'> extends Rule<T> {
  readonly presence: Presence;
}

type PartOf<T, Key extends keyof T> =
  object extends Pick<T, Key>
    ? Part<Exclude<T[Key], undefined>, 'optional'>
    : Part<T[Key], 'required'>;

type Checked<T> = { ok: true; value: T } | { ok: false; errors: Misfit[] };

/** A rule for a whole message or file. */
export interface Contract<T> extends Rule<T> {
  /** The value as T, or what is wrong with it (MOST_MISFITS at most). Unknown keys are refused. */
  check(value: unknown): Checked<T>;
}

/** Reading stops here: a body of a million mistakes must not cost a million answers. */
export const MOST_MISFITS = 20;
/** A name that somebody else chose is repeated only this far. */
const LONGEST_NAME = 40;

const isFull = (found: readonly Misfit[]): boolean => found.length >= MOST_MISFITS;
const inside = (path: string, key: string | number): string =>
  [path, String(key)].filter((part) => part !== '').join('.');

/** One value, held to a Joi schema, with the words that tell the user what to enter instead. */
function leaf<T>(schema: Joi.Schema, say: string, keep = (value: T): T => value): Rule<T> {
  const needed = schema.required();
  return {
    read(value, path, found) {
      const checked = needed.validate(value);
      if (!checked.error) return keep(checked.value as T);
      found.push({ path, message: say });
      return value as T;
    },
  };
}

/** Text between `min` (1) and `max` characters, trimmed. */
export function text(
  say: string,
  limits: { min?: number; max: number; pattern?: RegExp },
): Rule<string> {
  const { min = 1, max, pattern } = limits;
  // No control signs and no halves of signs: PostgreSQL holds neither as it came.
  const sized = Joi.string()
    .trim()
    .max(max)
    .pattern(/[\p{Cc}\p{Cs}]/u, { invert: true });
  const floored = min === 0 ? sized.allow('') : sized.min(min);
  return leaf(pattern ? floored.pattern(pattern) : floored, say);
}

/** The longest address there is. */
const EMAIL_LETTERS = 254;

/** An e-mail address, in lower case. */
export function email(say: string): Rule<string> {
  const schema = Joi.string()
    .max(EMAIL_LETTERS)
    .trim()
    .lowercase()
    .email({ tlds: false })
    .pattern(/[\p{Cc}\p{Cs}]/u, { invert: true });
  return leaf(schema, say);
}

/**
 * A number within limits. Numbers in quotes are refused: the client converts, not the wire.
 * @param limits `decimals`: as many as the column has that keeps it. More are rounded here, so that
 *   the same number sent again is the same as the one that was kept.
 */
export function number(
  say: string,
  limits: { min: number; max: number; whole?: boolean; decimals?: number },
): Rule<number> {
  const { min, max, whole, decimals } = limits;
  const plain = Joi.number().strict();
  const rounded =
    decimals === undefined
      ? plain
      : plain.custom((value: number) => Number(value.toFixed(decimals)));
  const bounded = rounded.custom((value: number, { error }) =>
    value >= min && value <= max ? value : error('any.invalid'),
  );
  // Zero has no sign once it is kept.
  return leaf(whole ? bounded.integer() : bounded, say, (value: number) => value + 0);
}

/** A word, a number or yes and no, whichever it is. */
export function scalar(
  say: string,
  limits: { letters: number; size: number },
): Rule<string | number | boolean> {
  const words = Joi.string()
    .min(1)
    .max(limits.letters)
    .pattern(/[\p{Cc}\p{Cs}]/u, { invert: true });
  const figure = Joi.number().strict().min(-limits.size).max(limits.size);
  return leaf(Joi.alternatives(words, figure, Joi.boolean().strict()), say);
}

/** One certain word, or a number within limits. */
export function wordOrNumber<const Word extends string>(
  word: Word,
  say: string,
  { min, max }: { min: number; max: number },
): Rule<Word | number> {
  return leaf(Joi.alternatives(Joi.valid(word), Joi.number().strict().min(min).max(max)), say);
}

export function flag(say: string): Rule<boolean> {
  return leaf(Joi.boolean().strict(), say);
}

/** One word of a vocabulary. */
export function oneOf<const T extends string>(words: readonly T[], say: string): Rule<T> {
  return leaf(Joi.string().valid(...words), say);
}

const UUID = /^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/i;

/** This value and no other. */
export function constant<const T extends boolean>(value: T): Rule<T> {
  return leaf(Joi.valid(value), String(value));
}

/** A UUID made by whoever creates the thing, in the one way it is written and kept. */
export function id<T extends string>(say = 'Send an id: a UUID.'): Rule<T> {
  return leaf(Joi.string().max(36).pattern(UUID).lowercase(), say);
}

const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}([.,]\d{1,9})?)?(Z|[+-]\d{2}(:?\d{2})?)$/i;
/** No watch was out before, and no clock that is right is past it: UTC milliseconds. */
const EARLIEST_MS = Date.UTC(1970, 0, 1);
const LATEST_MS = Date.UTC(2100, 0, 1);

/**
 * An instant from 1970 to 2099 as ISO 8601 text with its offset. It is read as it will be kept: in
 * UTC, to the millisecond.
 */
export function instant(say: string): Rule<string> {
  const schema = Joi.string()
    .max(40)
    .pattern(INSTANT)
    .custom((value: string, { error }) => {
      const ms = Date.parse(value.replace(',', '.').replace(/([+-]\d{2})$/, '$1:00'));
      return ms >= EARLIEST_MS && ms < LATEST_MS
        ? new Date(ms).toISOString()
        : error('any.invalid');
    });
  return leaf(schema, say);
}

/** A value of JSON, as deep and as long as is sensible. */
type Json = Record<string, unknown>;
const DEEPEST = 12;
/** What JSON can hold and the database cannot: the null character, and halves of characters. */
const NOT_KEPT = /\\u(0000|d[89a-f][\da-f]{2})/i;

/**
 * An object of any fields, kept as JSON has it: what it holds is judged by whoever reads it.
 * @param most characters of its text
 */
export function jsonObject(say: string, most: number): Rule<Json> {
  return {
    read(value, path, found) {
      const isObject = typeof value === 'object' && value !== null && !Array.isArray(value);
      if (!isObject || depthOf(value) > DEEPEST) {
        found.push({ path, message: say });
        return {};
      }
      const text = JSON.stringify(value);
      if (text.length > most || NOT_KEPT.test(text)) {
        found.push({ path, message: say });
        return {};
      }
      return JSON.parse(text) as Json;
    },
  };
}

function depthOf(value: unknown, at = 0): number {
  if (typeof value !== 'object' || value === null || at > DEEPEST) return at;
  return Math.max(at + 1, ...Object.values(value).map((each) => depthOf(each, at + 1)));
}

export function nullable<T>(rule: Rule<T>): Rule<T | null> {
  return {
    read: (value, path, found) => (value === null ? null : rule.read(value, path, found)),
  };
}

/** A list whose length is looked at before what is in it. */
function list<T>(rule: Rule<T>, max: number, alike: 'allowed' | 'refused'): Rule<T[]> {
  return {
    read(value, path, found) {
      if (!Array.isArray(value)) {
        found.push({ path, message: 'Send a list.' });
        return [];
      }
      if (value.length > max) {
        found.push({
          path,
          message: `Send ${String(max)} at most; these are ${String(value.length)}.`,
        });
        return [];
      }
      const kept: T[] = [];
      for (const [index, each] of (value as unknown[]).entries()) {
        if (isFull(found)) break;
        const at = inside(path, index);
        const before = found.length;
        const row = rule.read(each, at, found);
        if (found.length === before && alike === 'refused' && kept.includes(row)) {
          found.push({ path: at, message: 'This is listed twice. Remove one.' });
        }
        kept.push(row);
      }
      return kept;
    },
  };
}

/** A list of at most `max` objects; two may be alike. */
export function rowsOf<T extends object>(rule: Rule<T>, max: number): Rule<T[]> {
  return list(rule, max, 'allowed');
}

/** A list of at most `max` words or figures, none twice. */
export function listOf<T>(rule: Rule<T>, max: number): Rule<T[]> {
  return list(rule, max, 'refused');
}

/** A list of at most `max` words or figures, of which the same may come again. */
export function sequenceOf<T>(rule: Rule<T>, max: number): Rule<T[]> {
  return list(rule, max, 'allowed');
}

export function required<T>(rule: Rule<T>): Part<T, 'required'> {
  return { read: rule.read, presence: 'required' };
}

export function optional<T>(rule: Rule<T>): Part<T, 'optional'> {
  return { read: rule.read, presence: 'optional' };
}

/** A rule that stands on its own. */
function standing<T>({ read }: Rule<T>): Contract<T> {
  return {
    read,
    check(value) {
      const found: Misfit[] = [];
      const kept = read(value, '', found);
      return found.length === 0 ? { ok: true, value: kept } : { ok: false, errors: found };
    },
  };
}

/**
 * The contract for an interface. The fields must agree with T in keys, kinds, nulls, literals and
 * presence, or the build fails. Inside another contract it makes the same demands as on its own.
 * @param also a demand on the whole, made when the parts fit: what is wrong, or null
 */
export function contract<T extends object>(
  fields: { readonly [Key in keyof T]-?: PartOf<T, Key> },
  also?: (value: T) => Misfit | null,
): Contract<T> {
  const known = fields as Record<string, Part<unknown, 'required' | 'optional'>>;
  return standing<T>({
    read(value, path, found) {
      const kept: Record<string, unknown> = {};
      if (typeof value !== 'object' || value === null || Array.isArray(value)) {
        found.push({ path, message: 'Send a JSON object.' });
        return kept as T;
      }
      const before = found.length;
      const given = value as Record<string, unknown>;
      for (const [key, field] of Object.entries(known)) {
        if (isFull(found)) break;
        const own = Object.hasOwn(given, key) ? given[key] : undefined;
        if (own === undefined && field.presence === 'optional') continue;
        kept[key] = field.read(own, inside(path, key), found);
      }
      for (const key in given) {
        if (isFull(found)) break;
        if (Object.hasOwn(known, key)) continue;
        const name = key.slice(0, LONGEST_NAME);
        found.push({
          path: inside(path, name),
          message: `Remove this: ${name} is not a field here.`,
        });
      }
      const misfit = found.length === before ? also?.(kept as T) : null;
      if (misfit) found.push({ ...misfit, path: inside(path, misfit.path) });
      return kept as T;
    },
  });
}

/**
 * One of several shapes that a word of it tells apart.
 * @param key where the word stands
 * @param shapes the rule for each word
 */
export function oneShapeOf<T extends object, Key extends keyof T & string>(
  key: Key,
  shapes: {
    readonly [Word in T[Key] & (string | boolean) as `${Word}`]: Rule<
      Extract<T, Record<Key, Word>>
    >;
  },
): Rule<T> {
  const byWord = shapes as unknown as Record<string, Rule<T>>;
  return {
    read(value, path, found) {
      const given =
        typeof value === 'object' && value !== null
          ? (value as Record<string, unknown>)[key]
          : undefined;
      const word = typeof given === 'string' || typeof given === 'boolean' ? String(given) : '';
      const rule = Object.hasOwn(byWord, word) ? byWord[word] : undefined;
      if (rule) return rule.read(value, path, found);
      const message = `Send one of: ${Object.keys(byWord).join(', ')}.`;
      found.push({ path: inside(path, key), message });
      return value as T;
    },
  };
}

/** The contract for a list as a reply. */
export function listContract<T>(rule: Rule<T>): Contract<T[]> {
  return standing(list(rule, Number.POSITIVE_INFINITY, 'allowed'));
}

/** The same contract, which reads older shapes too. @param upgrade gives what it does not know back */
export function readingOlder<T>(
  newest: Contract<T>,
  upgrade: (value: unknown) => unknown,
): Contract<T> {
  return standing({
    read: (value, path, found) => newest.read(upgrade(value), path, found),
  });
}
