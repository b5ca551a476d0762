import { Case, Cases, End } from './cases';

/** Something that can be said of a case in a word or two: a choice, or how two of them differ. */
interface Feature {
  readonly subject: string;
  /** What it is of a case; undefined where the case ended before that was chosen. */
  of(values: readonly number[]): number | undefined;
  /** How it is said that it is one value, where there is a plainer way. */
  is?(value: number): string | undefined;
  most?(value: number): string | undefined;
  least?(value: number): string | undefined;
}

const show = (value: number): string => (value < 0 ? `−${-value}` : value.toString());

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const count = (value: number): string => (value <= 10 ? COUNTS[value] : value.toString());

const choice = (name: string, index: number): Feature => ({
  subject: name,
  of: (values) => values.at(index),
});

const difference = (names: readonly string[], one: number, other: number): Feature => ({
  subject: `${names[other]} less ${names[one]}`,
  of: (values) => (other < values.length ? values[other] - values[one] : undefined),
  is: (value) =>
    value === 0
      ? `${names[other]} is the same as ${names[one]}`
      : `${names[other]} is ${count(Math.abs(value))} ${value > 0 ? 'more' : 'less'} than ${names[one]}`,
  most: (value) =>
    value === 0
      ? `${names[other]} is no more than ${names[one]}`
      : value === -1
        ? `${names[other]} is less than ${names[one]}`
        : undefined,
  least: (value) =>
    value === 0
      ? `${names[other]} is no less than ${names[one]}`
      : value === 1
        ? `${names[other]} is more than ${names[one]}`
        : undefined,
});

const sum = (names: readonly string[], one: number, other: number): Feature => ({
  subject: `${names[one]} and ${names[other]} together`,
  of: (values) => (other < values.length ? values[one] + values[other] : undefined),
});

const parity = (name: string, index: number): Feature => ({
  subject: name,
  of: (values) => (index < values.length ? Math.abs(values[index] % 2) : undefined),
  is: (value) => `${name} is ${value === 1 ? 'odd' : 'even'}`,
});

/** What a rule may speak of, the plainest first. */
const featuresOf = (names: readonly string[]): readonly Feature[] => {
  const pairs = names.flatMap((_, other) =>
    names.slice(0, other).map((_first, one) => [one, other] as const),
  );
  return [
    ...names.map(choice),
    ...pairs.map(([one, other]) => difference(names, one, other)),
    ...names.map(parity),
    ...pairs.map(([one, other]) => sum(names, one, other)),
  ];
};

/** What a feature is over all cases: its values in order, and which of them are all, and which none, of those meant. */
interface Values {
  readonly feature: Feature;
  readonly all: readonly number[];
  /** Values of which every case is meant. */
  readonly pure: ReadonlySet<number>;
  /** Values of which at least one case is meant. */
  readonly some: ReadonlySet<number>;
}

const valuesOf = (feature: Feature, cases: readonly Case[], meant: (each: Case) => boolean): Values => {
  const [some, others] = [new Set<number>(), new Set<number>()];
  for (const each of cases) {
    const value = feature.of(each.values);
    if (value !== undefined) (meant(each) ? some : others).add(value);
  }
  const all = [...new Set([...some, ...others])].sort((a, b) => a - b);
  return { feature, all, some, pure: new Set([...some].filter((value) => !others.has(value))) };
};

/** More values than this, without a plainer way to say it, are no plain rule. */
const MOST_NAMED = 3;

/** How it is said that a feature is one of these values; undefined where there is no plain way. */
const say = ({ feature, all }: Values, values: ReadonlySet<number>): string | undefined => {
  const named = all.filter((value) => values.has(value));
  if (named.length === 0 || named.length === all.length) return undefined;
  const [first, last] = [named[0], named[named.length - 1]];
  if (named.length === 1) return feature.is?.(first) ?? `${feature.subject} is ${show(first)}`;
  if (all.length === 2) return undefined;
  const [from, to] = [all.indexOf(first), all.indexOf(last)];
  const { subject } = feature;
  if (to - from + 1 === named.length) {
    if (from === 0) return feature.most?.(last) ?? `${subject} is ${show(last)} or less`;
    if (to === all.length - 1) return feature.least?.(first) ?? `${subject} is ${show(first)} or more`;
    return `${subject} is ${show(first)} to ${show(last)}`;
  }
  const others = all.filter((value) => !values.has(value));
  const [low, high] = [all.indexOf(others[0]), all.indexOf(others[others.length - 1])];
  if (high - low + 1 === others.length)
    return others.length === 1
      ? `${subject} is not ${show(others[0])}`
      : `${subject} is under ${show(others[0])} or over ${show(others[others.length - 1])}`;
  if (named.length > MOST_NAMED) return undefined;
  return `${subject} is ${named.slice(0, -1).map(show).join(', ')} or ${show(last)}`;
};

/**
 * The plain rule in the choices that describes just the cases that ended in one way: a value or a range of one choice,
 * of how much two of them differ or come to, odd or even; or two such rules together, or one of two.
 *
 * @returns the rule in words, such as `first cut is 1`; `always` where all are meant; undefined where none is, or where
 *   no such rule describes them.
 */
export const plainRule = ({ names, cases }: Cases, end: End = 'failed'): string | undefined => {
  const meant = (each: Case): boolean => each.end === end;
  const wanted = cases.filter(meant);
  if (wanted.length === 0) return undefined;
  if (wanted.length === cases.length) return 'always';
  const features = featuresOf(names).map((feature) => valuesOf(feature, cases, meant));
  const has = ({ feature }: Values, values: ReadonlySet<number>, each: Case): boolean => {
    const value = feature.of(each.values);
    return value !== undefined && values.has(value);
  };
  for (const one of features) {
    const words = say(one, one.pure);
    if (words !== undefined && wanted.every((each) => has(one, one.pure, each))) return words;
  }
  return together(features, cases, meant, has) ?? oneOfTwo(features, wanted, has);
};

type Has = (feature: Values, values: ReadonlySet<number>, each: Case) => boolean;

const pairsOf = function* (features: readonly Values[]): Generator<readonly [Values, Values]> {
  for (const [index, other] of features.entries())
    for (const one of features.slice(0, index)) yield [one, other];
};

/** Two rules that both hold. */
const together = (
  features: readonly Values[],
  cases: readonly Case[],
  meant: (each: Case) => boolean,
  has: Has,
): string | undefined => {
  for (const [one, other] of pairsOf(features)) {
    const words = [say(one, one.some), say(other, other.some)];
    if (words.includes(undefined)) continue;
    if (cases.every((each) => meant(each) === (has(one, one.some, each) && has(other, other.some, each))))
      return words.join(' and ');
  }
  return undefined;
};

/** Two rules of which one holds: each only of what the other does not tell. */
const oneOfTwo = (features: readonly Values[], wanted: readonly Case[], has: Has): string | undefined => {
  const among = ({ feature }: Values, cases: readonly Case[]): ReadonlySet<number> =>
    new Set(cases.flatMap(({ values }) => feature.of(values) ?? []));
  for (const [one, other] of pairsOf(features)) {
    const left = wanted.filter((each) => !has(one, one.pure, each));
    const second = among(other, left);
    if (![...second].every((value) => other.pure.has(value))) continue;
    const rest = wanted.filter((each) => !has(other, second, each));
    const first = among(one, rest);
    if (!rest.every((each) => has(one, one.pure, each))) continue;
    if (!left.every((each) => has(other, second, each))) continue;
    const words = [say(one, first), say(other, second)];
    if (!words.includes(undefined)) return words.join(', or ');
  }
  return undefined;
};
