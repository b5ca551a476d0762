/**
 * What helpers choose, of all that they may: a fit of what was observed to what was stated before.
 *
 * Several simple predictors (what was stated, every value alike, the counts, kernels of several widths, a bell, a bell over
 * logarithms) each foretell every observation from the others; they are mixed as well as they do so together, the stated
 * one being worth a few observations before anything is seen.
 */

/** What is known of a choice. */
export interface Fit {
  /** The first value; the others follow one by one. */
  readonly from: number;
  /** The chance of each value; they add up to 1. */
  readonly chances: readonly number[];
  /** How often each value was observed. */
  readonly counts: readonly number[];
  /** How much of it is data, and not what was stated: 0 to 1. */
  readonly data: number;
  /** How many choices were observed. */
  readonly n: number;
}

/** How often each value was observed; what lies outside the values is left out. */
const countsOf = (observed: readonly number[], from: number, size: number): Float64Array => {
  const counts = new Float64Array(size);
  for (const value of observed) if (value >= from && value < from + size) counts[value - from]++;
  return counts;
};

const sumOf = (values: ArrayLike<number> & Iterable<number>): number => {
  let sum = 0;
  for (const value of values) sum += value;
  return sum;
};

/** Weights as chances that add up to 1; each value alike where all are 0. */
const normal = (weights: ArrayLike<number> & Iterable<number>): Float64Array => {
  const sum = sumOf(weights);
  return Float64Array.from(weights, (weight) => (sum > 0 ? weight / sum : 1 / weights.length));
};

/** A way to foretell: the chances after some counts, and how much of them is data. */
interface Predictor {
  /** @param counts what was observed. @param n how many. */
  chances(counts: Float64Array, n: number): Float64Array;
  /** The chance of one value alone, where that is less work. */
  at?(counts: Float64Array, n: number, value: number): number;
  /** The share of the data in it behind so many. */
  data(n: number): number;
  /** How many observations it is worth before anything is seen, beside the others. */
  readonly prior: number;
}

const fixed = (chances: Float64Array, prior: number): Predictor => ({
  ...{ chances: () => chances, prior },
  data: () => 0,
});

/** The counts, with a base worth so many observations. */
const counted = (base: Float64Array, worth: number, prior: number): Predictor => ({
  prior,
  chances: (counts, n) => base.map((chance, index) => (counts[index] + worth * chance) / (n + worth)),
  at: (counts, n, value) => (counts[value] + worth * base[value]) / (n + worth),
  data: (n) => n / (n + worth),
});

/** By size and width: a bell about each value, turned back at both ends. They are the same for every fit. */
const BUMPS = new Map<string, readonly Float64Array[]>();

const bumpsOf = (size: number, width: number): readonly Float64Array[] => {
  const key = `${size} ${width}`;
  const known = BUMPS.get(key);
  if (known) return known;
  const bumps = Array.from({ length: size }, (_, at) => {
    const bump = new Float64Array(size);
    for (let value = -size; value < 2 * size; value++) {
      const weight = Math.exp(-(((value - at) / width) ** 2) / 2);
      const turned = value < 0 ? -1 - value : value >= size ? 2 * size - 1 - value : value;
      bump[turned] += weight;
    }
    return normal(bump);
  });
  BUMPS.set(key, bumps);
  return bumps;
};

/** Kernels of a width about every observation, with a base worth a few observations. */
const kernels = (
  size: number,
  width: number,
  base: Float64Array,
  worth: number,
  prior: number,
): Predictor => {
  const bumps = bumpsOf(size, width);
  return {
    prior,
    chances: (counts, n) => {
      const sum = base.map((chance) => worth * chance);
      for (let at = 0; at < size; at++)
        if (counts[at] > 0)
          for (let value = 0; value < size; value++) sum[value] += counts[at] * bumps[at][value];
      return sum.map((weight) => weight / (n + worth));
    },
    at: (counts, n, value) => {
      let sum = worth * base[value];
      for (let at = 0; at < size; at++) sum += counts[at] * bumps[at][value];
      return sum / (n + worth);
    },
    data: (n) => n / (n + worth),
  };
};

/** A bell by the mean and spread of the observations, those of a base being worth a few; over a scale of the values. */
const bell = (base: Float64Array, scale: readonly number[], worth: number, prior: number): Predictor => {
  const moment = (weights: Float64Array, of: (value: number) => number): number =>
    weights.reduce((sum, weight, index) => sum + weight * of(scale[index]), 0);
  const mean0 = moment(base, (value) => value);
  const spread0 = moment(base, (value) => (value - mean0) ** 2);
  // On a scale that is not even a step is as wide as it is.
  const steps = scale.map((value, index) =>
    index + 1 < scale.length ? scale[index + 1] - value : value - scale[index - 1],
  );
  return {
    prior,
    chances: (counts, n) => {
      const mean = (worth * mean0 + moment(counts, (value) => value)) / (worth + n);
      const spread =
        (worth * (spread0 + (mean0 - mean) ** 2) + moment(counts, (value) => (value - mean) ** 2)) /
        (worth + n);
      const narrow = Math.max(spread, 1e-4);
      return normal(
        scale.map((value, index) => steps[index] * Math.exp(-((value - mean) ** 2) / 2 / narrow)),
      );
    },
    data: (n) => n / (n + worth),
  };
};

const predictorsOf = (stated: Float64Array, from: number): readonly Predictor[] => {
  const size = stated.length;
  const alike = new Float64Array(size).fill(1 / size);
  const even = Array.from({ length: size }, (_, index) => index);
  const first = Math.max(1, from);
  const logs = even.map((index) => Math.log(first + index));
  return [
    fixed(stated, 3),
    fixed(alike, 0.6),
    counted(stated, 12, 0.3),
    counted(alike, 12, 0.3),
    ...[1, 2, 3.5, 6].map((width) => kernels(size, width, alike, 1, 0.3)),
    bell(stated, even, 2, 0.8),
    bell(stated, logs, 2, 0.5),
  ];
};

/** So many rounds bring the mixture where it stays. */
const ROUNDS = 60;

/**
 * How the predictors are mixed: as well as they foretell each observation from the others.
 *
 * @param foretold by predictor and value: the chance of one of that value's observations, from all others.
 */
const mixture = (
  predictors: readonly Predictor[],
  foretold: readonly Float64Array[],
  counts: Float64Array,
): Float64Array => {
  let weights = normal(predictors.map(({ prior }) => prior));
  for (let round = 0; round < ROUNDS; round++) {
    const next = Float64Array.from(predictors, ({ prior }) => prior);
    counts.forEach((count, value) => {
      if (count === 0) return;
      const parts = weights.map((weight, index) => weight * foretold[index][value]);
      const sum = sumOf(parts);
      if (sum > 0) parts.forEach((part, index) => (next[index] += (count * part) / sum));
    });
    weights = normal(next);
  }
  return weights;
};

/**
 * Fits what was observed.
 *
 * @param observed each choice; those outside the values are left out. @param stated the stated chance of each value from
 * `from` on; they need not add up to 1. @param from the first value.
 */
export const fitChoice = (observed: readonly number[], stated: readonly number[], from: number): Fit => {
  const before = normal(stated);
  const size = before.length;
  const counts = countsOf(observed, from, size);
  const n = sumOf(counts);
  if (n === 0 || size < 2) return { from, chances: [...before], counts: [...counts], data: 0, n };
  const predictors = predictorsOf(before, from);
  const foretold = predictors.map((predictor) => {
    const own = new Float64Array(size);
    counts.forEach((count, value) => {
      if (count === 0) return;
      counts[value]--;
      own[value] = predictor.at?.(counts, n - 1, value) ?? predictor.chances(counts, n - 1)[value];
      counts[value]++;
    });
    return own;
  });
  const weights = mixture(predictors, foretold, counts);
  const chances = new Float64Array(size);
  predictors.forEach((predictor, index) => {
    predictor.chances(counts, n).forEach((chance, value) => (chances[value] += weights[index] * chance));
  });
  const data = predictors.reduce((sum, predictor, index) => sum + weights[index] * predictor.data(n), 0);
  return { from, chances: [...normal(chances)], counts: [...counts], data, n };
};
