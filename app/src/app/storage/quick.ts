import type Joi from 'joi';
import { joiParts } from './joi-parts';
import { Kind } from './kind';

/**
 * Whether a row is as its kind says, without a word on what is wrong: the kinds' schemas, read by the few words of Joi that
 * they use. It costs a hundredth of Joi's script, which comes only for a row that is refused here. A test holds both
 * against each other for every kind.
 */

type Test = (value: unknown) => boolean;

interface Parts {
  /** What every value of the kind is: a text, a number … */
  readonly type: Test;
  readonly required?: boolean;
  /** What passes whatever the rest says, and whether nothing else does. */
  readonly allowed: readonly unknown[];
  readonly only?: true;
  readonly refused: readonly unknown[];
  /** The fields that are named, and what others may be called and hold; without either an object may have any. */
  readonly fields?: Readonly<Record<string, Schema>>;
  readonly patterns: readonly (readonly [name: Schema, value: Schema])[];
  /** What must hold then, in turn. */
  readonly rules: readonly Test[];
}

/** What is given in the place of a value that a function of a schema refuses. */
const REFUSED = Symbol('refused');
const HELPERS = { error: () => REFUSED };

const isObject = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What is counted or compared of a value: a number itself, how long a text or list is, how many fields there are. */
const amountOf = (value: unknown): number =>
  typeof value === 'number'
    ? value
    : typeof value === 'string' || Array.isArray(value)
      ? value.length
      : Object.keys(value as object).length;

class Schema {
  constructor(private readonly parts: Parts) {}

  passes(value: unknown): boolean {
    const { required, allowed, only, refused, type, rules } = this.parts;
    if (value === undefined) return required !== true;
    if (allowed.includes(value)) return true;
    return (
      only !== true &&
      !refused.includes(value) &&
      type(value) &&
      this.fits(value) &&
      rules.every((rule) => rule(value))
    );
  }

  private fits(value: unknown): boolean {
    const { fields, patterns } = this.parts;
    if (fields === undefined && patterns.length === 0) return true;
    const row = value as Readonly<Record<string, unknown>>;
    const named = fields ?? {};
    return (
      Object.keys(named).every((name) => named[name].passes(row[name])) &&
      Object.keys(row).every(
        (name) =>
          Object.hasOwn(named, name) ||
          // A field that Joi's copy of a row loses.
          (name !== '__proto__' &&
            patterns.find(([pattern]) => pattern.passes(name))?.[1].passes(row[name]) === true),
      )
    );
  }

  private with(parts: Partial<Parts>): Schema {
    return new Schema({ ...this.parts, ...parts });
  }

  private and(rule: Test): Schema {
    return this.with({ rules: [...this.parts.rules, rule] });
  }

  required(): Schema {
    return this.with({ required: true });
  }

  optional(): Schema {
    return this.with({ required: false });
  }

  allow(...values: readonly unknown[]): Schema {
    return this.with({ allowed: [...this.parts.allowed, ...values] });
  }

  valid(...values: readonly unknown[]): Schema {
    return this.allow(...values).with({ only: true });
  }

  invalid(...values: readonly unknown[]): Schema {
    return this.with({ refused: [...this.parts.refused, ...values] });
  }

  min(least: number): Schema {
    return this.and((value) => amountOf(value) >= least);
  }

  max(most: number): Schema {
    return this.and((value) => amountOf(value) <= most);
  }

  length(count: number): Schema {
    return this.and((value) => amountOf(value) === count);
  }

  greater(than: number): Schema {
    return this.and((value) => amountOf(value) > than);
  }

  integer(): Schema {
    return this.and(Number.isInteger);
  }

  /** Of a text, what it must match; of an object, what others of its fields are called and hold. */
  pattern(pattern: RegExp | Schema, value = any()): Schema {
    return pattern instanceof RegExp
      ? this.and((text) => pattern.test(text as string))
      : this.with({ patterns: [...this.parts.patterns, [pattern, value]] });
  }

  keys(fields: Readonly<Record<string, Schema>>): Schema {
    return this.with({ fields: { ...this.parts.fields, ...fields } });
  }

  items(...schemas: readonly Schema[]): Schema {
    // To Joi that would mean that there is at least one.
    if (schemas.some(({ parts }) => parts.required))
      throw new Error('items that are required are not known here');
    return this.and((list) =>
      (list as readonly unknown[]).every(
        (item) => item !== undefined && schemas.some((schema) => schema.passes(item)),
      ),
    );
  }

  unique(): Schema {
    return this.and(
      (list) => new Set(list as readonly unknown[]).size === (list as readonly unknown[]).length,
    );
  }

  /** What a function takes, as it is: what it would change is not as it is stored. */
  custom(read: (value: unknown, helpers: typeof HELPERS) => unknown): Schema {
    return this.and((value) => Object.is(read(value, HELPERS), value));
  }
}

const of = (type: Test, refused: readonly unknown[] = []): Schema =>
  new Schema({ type, refused, allowed: [], patterns: [], rules: [] });
const any = (): Schema => of(() => true);

/** The words of Joi that the kinds use. */
const WORDS = {
  any,
  valid: (...values: readonly unknown[]) => any().valid(...values),
  string: () => of((value) => typeof value === 'string', ['']),
  // Joi writes -0 as 0: it is refused here, and left to it.
  number: () =>
    of(
      (value) =>
        typeof value === 'number' && Math.abs(value) <= Number.MAX_SAFE_INTEGER && !Object.is(value, -0),
    ),
  boolean: () => of((value) => typeof value === 'boolean'),
  array: () => of(Array.isArray),
  object: (fields?: Readonly<Record<string, Schema>>) => (fields ? of(isObject).keys(fields) : of(isObject)),
  alternatives: (...schemas: readonly Schema[]) =>
    of((value) => schemas.some((schema) => schema.passes(value))),
};

const JOI = WORDS as unknown as Joi.Root;
const PARTS = joiParts(JOI);
const schemas = new Map<Kind, Schema>();

const schemaOf = (kind: Kind): Schema => {
  const known = schemas.get(kind);
  if (known) return known;
  const made = (kind.schema(JOI, PARTS) as unknown as Schema).required();
  schemas.set(kind, made);
  return made;
};

/** Whether a value is a row of a kind as it is stored. What is refused here Joi may still take: a row out of a file. */
export const passesQuickly = (kind: Kind, value: unknown): boolean => {
  try {
    return schemaOf(kind).passes(value);
  } catch {
    // Nested so deep that a check cannot go down to its end.
    return false;
  }
};
