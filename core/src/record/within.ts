import { Fit } from './fitChoice';

/** A chance, and between what it lies nine times in ten. */
export interface Share {
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/** What a fit is worth in observations beside those that were made. */
const WORTH = 4;
/** So many standard deviations to either side hold nine in ten. */
const NINE_IN_TEN = 1.645;
/** So finely chances are gone through. */
const STEPS = 2000;

/**
 * How likely each chance of a range is, from 0 to 1 in even steps: by what lay in it and what did not, the fit beside them. A
 * fit is smooth, and would by itself be too sure of what it makes even.
 */
const posterior = ({ from, counts, n, ...fit }: Fit, low: number, high: number): Float64Array => {
  const share = chanceWithin({ from, ...fit }, low, high);
  const inside = counts.reduce((sum, count, index) => (isIn(from + index, low, high) ? sum + count : sum), 0);
  const [a, b] = [inside + share * WORTH + 0.5, n - inside + (1 - share) * WORTH + 0.5];
  const logs = Float64Array.from({ length: STEPS }, (_, index) => {
    const chance = (index + 0.5) / STEPS;
    return (a - 1) * Math.log(chance) + (b - 1) * Math.log(1 - chance);
  });
  const most = logs.reduce((max, each) => Math.max(max, each), -Infinity);
  const weights = logs.map((each) => Math.exp(each - most));
  const sum = weights.reduce((all, each) => all + each, 0);
  return weights.map((each) => each / sum);
};

/** The chance below which so much of the weight lies. */
const quantile = (weights: Float64Array, share: number): number => {
  let left = share;
  for (let index = 0; index < weights.length; index++) {
    if (weights[index] >= left) return (index + (weights[index] > 0 ? left / weights[index] : 0)) / STEPS;
    left -= weights[index];
  }
  return 1;
};

/** The chance that a choice lies in a range, both ends included. */
const chanceWithin = ({ from, chances }: Pick<Fit, 'from' | 'chances'>, low: number, high: number): number =>
  Math.min(
    1,
    chances.reduce((sum, chance, index) => (isIn(from + index, low, high) ? sum + chance : sum), 0),
  );

const isIn = (value: number, low: number, high: number): boolean => value >= low && value <= high;

/**
 * The chance that the next choice lies in a range, with its nine-in-ten interval.
 *
 * @param low the least value of the range. @param high the greatest.
 */
export const shareWithin = (fit: Fit, low: number, high: number): Share => {
  const share = chanceWithin(fit, low, high);
  const weights = posterior(fit, low, high);
  return {
    share,
    low: Math.min(share, quantile(weights, 0.05)),
    high: Math.max(share, quantile(weights, 0.95)),
  };
};

/**
 * Between what the chance of each value lies nine times in ten, were a fit’s observations spread as it is: the band about its
 * curve, from its first value on.
 */
export const bandOf = ({ chances, n }: Pick<Fit, 'chances' | 'n'>): readonly Share[] =>
  chances.map((share) => {
    const off = NINE_IN_TEN * Math.sqrt((share * (1 - share)) / (n + WORTH + 1));
    return { share, low: Math.max(0, share - off), high: Math.min(1, share + off) };
  });

/** The chance that choices made by the second wording lie in a range more often than by the first. */
export const compareWordings = (a: Fit, b: Fit, low: number, high: number): number => {
  const [first, second] = [a, b].map((fit) => posterior(fit, low, high));
  let [below, chance] = [0, 0];
  for (let index = 0; index < STEPS; index++) {
    chance += second[index] * (below + first[index] / 2);
    below += first[index];
  }
  return Math.min(1, chance);
};
