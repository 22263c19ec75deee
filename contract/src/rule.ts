import Joi from 'joi';

declare const exactly: unique symbol;

/** A Joi schema that accepts the values of T and no others. T is invariant: neither wider nor narrower fits. */
export interface Rule<T> {
  readonly schema: Joi.Schema;
  readonly [exactly]?: (value: T) => T;
}

/** A rule together with whether the key may be left out. */
interface Field<T, Presence extends 'required' | 'optional'> extends Rule<T> {
  readonly presence: Presence;
}

type FieldOf<T, Key extends keyof T> =
  object extends Pick<T, Key>
    ? Field<Exclude<T[Key], undefined>, 'optional'>
    : Field<T[Key], 'required'>;

/** One thing wrong with a value: where, and what to enter instead. */
export interface Misfit {
  path: string;
  message: string;
}

export type Checked<T> = { ok: true; value: T } | { ok: false; errors: Misfit[] };

/** A rule for a whole message or file. */
export interface Contract<T> extends Rule<T> {
  /** The value as T, or everything that is wrong with it. Unknown keys are refused. */
  check(value: unknown): Checked<T>;
}

/** Further demands on one field: the words that tell the user what to enter when it does not fit. */
function saying<T>(schema: Joi.Schema, say: string): Rule<T> {
  return { schema: schema.messages({ '*': say }) };
}

/** Text between `min` (1) and `max` characters, trimmed. */
export function text(
  say: string,
  limits: { min?: number; max: number; pattern?: RegExp },
): Rule<string> {
  const { min = 1, max, pattern } = limits;
  // No control signs: PostgreSQL holds no null byte, and a name has no line ends.
  const sized = Joi.string()
    .trim()
    .max(max)
    .pattern(/\p{Cc}/u, { invert: true });
  const floored = min === 0 ? sized.allow('') : sized.min(min);
  return saying(pattern ? floored.pattern(pattern) : floored, say);
}

/** An e-mail address, in lower case. */
export function email(say: string): Rule<string> {
  return saying(Joi.string().trim().lowercase().max(254).email({ tlds: false }), say);
}

/** A number within limits. Numbers in quotes are refused: the client converts, not the wire. */
export function number(
  say: string,
  limits: { min: number; max: number; whole?: boolean },
): Rule<number> {
  const bounded = Joi.number().strict().min(limits.min).max(limits.max);
  return saying(limits.whole ? bounded.integer() : bounded, say);
}

export function flag(say: string): Rule<boolean> {
  return saying(Joi.boolean().strict(), say);
}

/** One word of a vocabulary. */
export function oneOf<const T extends string>(words: readonly T[], say: string): Rule<T> {
  return saying(Joi.string().valid(...words), say);
}

/** A UUID made by whoever creates the thing. */
export function id<T extends string>(say = 'Send an id: a UUID.'): Rule<T> {
  return saying(Joi.string().guid({ separator: '-' }).lowercase(), say);
}

/** An instant as ISO 8601 text with its offset. */
export function instant(say: string): Rule<string> {
  return saying(Joi.string().isoDate().max(40), say);
}

export function nullable<T>(rule: Rule<T>): Rule<T | null> {
  return { schema: rule.schema.allow(null) };
}

/** A list of at most `max` objects; two may be alike. */
export function rowsOf<T extends object>(rule: Rule<T>, max: number): Rule<T[]> {
  return { schema: Joi.array().items(rule.schema).max(max) };
}

/** A list of at most `max` words or figures, none twice. */
export function listOf<T>(rule: Rule<T>, max: number): Rule<T[]> {
  return { schema: Joi.array().items(rule.schema).max(max).unique() };
}

export function required<T>(rule: Rule<T>): Field<T, 'required'> {
  return { schema: rule.schema.required(), presence: 'required' };
}

export function optional<T>(rule: Rule<T>): Field<T, 'optional'> {
  return { schema: rule.schema.optional(), presence: 'optional' };
}

/**
 * The contract for an interface. The fields must agree with T in keys, kinds, nulls, literals and
 * presence, or the build fails.
 * @param also a demand on the whole: what is wrong, or null
 */
export function contract<T extends object>(
  fields: { readonly [Key in keyof T]-?: FieldOf<T, Key> },
  also?: (value: T) => Misfit | null,
): Contract<T> {
  const schemas = Object.fromEntries(
    Object.entries(fields as Record<string, { schema: Joi.Schema }>).map(([key, field]) => [
      key,
      field.schema,
    ]),
  );
  // Only what no field says for itself: a field's own words give way to a code named here.
  const schema = Joi.object(schemas).messages({
    'object.unknown': 'Leave this out: {#label} is not known here.',
    'object.base': 'Send a JSON object.',
  });
  return {
    schema,
    check(value) {
      const options = { abortEarly: false, errors: { wrap: { label: '' as const } } };
      const result = schema.required().validate(value, options);
      if (result.error) {
        const errors = result.error.details.map(({ path, message }) => ({
          path: path.join('.'),
          message,
        }));
        return { ok: false, errors };
      }
      const fits = result.value as T;
      const misfit = also?.(fits);
      return misfit ? { ok: false, errors: [misfit] } : { ok: true, value: fits };
    },
  };
}

/** The contract for a list as a reply. */
export function listContract<T>(rule: Rule<T>): Contract<T[]> {
  const schema = Joi.array().items(rule.schema).required();
  return {
    schema,
    check(value) {
      const result = schema.validate(value, { abortEarly: false });
      if (!result.error) return { ok: true, value: result.value as T[] };
      const errors = result.error.details.map(({ path, message }) => ({
        path: path.join('.'),
        message,
      }));
      return { ok: false, errors };
    },
  };
}
