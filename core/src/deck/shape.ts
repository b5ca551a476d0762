import { countOf } from './countOf';
import { isCard, LARGEST_PACK } from './card';
import { Outcome, Problem } from './problem';

/**
 * How values of the craft are read that come from storage or a file: every field is checked before any is used,
 * and a field that does not belong there is a problem too, so that what is read is what was written.
 */
export type Fields = Readonly<Record<string, unknown>>;

/** What a field must be: gives the problem, or undefined where it is right. `fields` are those beside it. */
export type Part = (value: unknown, fields: Fields) => Problem | undefined;

/** The parts of a value that has a `kind`, or of one that has none. */
export type ShapeOf<Value> = Readonly<Record<Exclude<keyof Value, 'kind'>, Part>>;

export type ShapesOf<Value extends { readonly kind: string }> = {
  readonly [Kind in Value['kind']]: ShapeOf<Extract<Value, { readonly kind: Kind }>>;
};

/** A value as it can be shown in a sentence, whatever it is and however large. */
export const showValue = (value: unknown): string => {
  if (typeof value === 'string') return `“${value.slice(0, 20)}”`;
  if (Array.isArray(value)) return 'a list';
  if (typeof value === 'object' && value !== null) return 'a group of values';
  return typeof value === 'number' || typeof value === 'boolean' ? value.toString() : 'nothing';
};

export const shouldBe = (value: unknown, should: string): Problem => ({
  what: value === undefined ? 'This is missing.' : `This is ${showValue(value)}.`,
  remedy: `It must be ${should}.`,
});

const part =
  (should: string, holds: (value: unknown, fields: Fields) => boolean): Part =>
  (value, fields) =>
    holds(value, fields) ? undefined : shouldBe(value, should);

const isWhole = (value: unknown, from: number, to: number): value is number =>
  Number.isSafeInteger(value) && (value as number) >= from && (value as number) <= to;

/** A whole number, both ends included; -0, which JSON does not keep, is none. */
export const whole = (from: number, to: number): Part =>
  part(`a whole number from ${from} to ${to}`, (value) => isWhole(value, from, to) && !Object.is(value, -0));

/** What the generators of chance begin with. */
export const SEED: Part = part(
  'a whole number below 9 quadrillion',
  (value) => Number.isSafeInteger(value) && !Object.is(value, -0),
);

export const FLAG: Part = part('true or false', (value) => typeof value === 'boolean');

export const CARD: Part = part('a card’s number', (value) => isCard(value) && !Object.is(value, -0));

export const oneOf = (...values: readonly (string | number)[]): Part =>
  part(`one of ${values.join(', ')}`, (value) => values.includes(value as string));

/** A number above `low` and up to `high`. */
export const above = (low: number, high: number): Part =>
  part(
    `above ${low} and at most ${high}`,
    (value) => typeof value === 'number' && value > low && value <= high,
  );

/** A part that may be left out. */
export const optional =
  (inner: Part): Part =>
  (value, fields) =>
    value === undefined ? undefined : inner(value, fields);

const at = (name: string | number, problem: Problem): Problem => ({
  ...problem,
  where: problem.where === undefined ? `${name}` : `${name} › ${problem.where}`,
});

/** A list of `from` to `to` items, each of which is right. */
export const listOf =
  (inner: Part, from: number, to: number): Part =>
  (value, fields) => {
    if (!Array.isArray(value) || value.length < from || value.length > to)
      return {
        what: Array.isArray(value) ? `This has ${countOf(value.length, 'item')}.` : shouldBe(value, '').what,
        remedy: `It must be a list of ${from === to ? from : `${from} to ${to}`} items.`,
      };
    for (let index = 0; index < value.length; index++) {
      const problem = inner(value[index], fields);
      if (problem) return at(index + 1, problem);
    }
    return undefined;
  };

/** A list in which nothing comes twice. */
export const eachOnce =
  (list: Part): Part =>
  (value, fields) =>
    list(value, fields) ??
    (new Set(value as unknown[]).size === (value as unknown[]).length
      ? undefined
      : { what: 'Something comes twice.', remedy: 'Each may come once.' });

export const cardList = (from: number, to: number = LARGEST_PACK): Part => eachOnce(listOf(CARD, from, to));

/** A value with these fields and no others. `own` names fields that were checked already. */
export const shape =
  (parts: Readonly<Record<string, Part>>, own: readonly string[] = []): Part =>
  (value) => {
    if (typeof value !== 'object' || value === null || Array.isArray(value))
      return shouldBe(value, 'a group of values');
    const fields = value as Fields;
    const odd = Object.keys(fields).find((name) => !Object.hasOwn(parts, name) && !own.includes(name));
    if (odd !== undefined)
      return { where: odd.slice(0, 20), what: 'This does not belong here.', remedy: 'Take it out.' };
    for (const [name, check] of Object.entries(parts)) {
      const problem = check(fields[name], fields);
      if (problem) return at(name, problem);
    }
    return undefined;
  };

export const kindOf =
  (shapes: Readonly<Record<string, Readonly<Record<string, Part>>>>): Part =>
  (value, fields) => {
    const kind = typeof value === 'object' && value !== null ? (value as Fields)['kind'] : undefined;
    if (typeof kind !== 'string' || !Object.hasOwn(shapes, kind))
      return at('kind', shouldBe(kind, `one of ${Object.keys(shapes).join(', ')}`));
    return shape(shapes[kind], ['kind'])(value, fields);
  };

/**
 * Reads a value by its part.
 *
 * @returns the very value under `name`, or what is wrong with it.
 */
export const readBy = <Name extends string, Value>(
  name: Name,
  check: Part,
  value: unknown,
): Outcome<Readonly<Record<Name, Value>>> => {
  const problem = check(value, {});
  return problem ? { ok: false, problems: [problem] } : { ok: true, [name]: value };
};
