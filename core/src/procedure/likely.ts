import { Likely } from './procedure';

/** More values than this are not weighed one by one. */
const MOST_WEIGHED = 1_000_000;

/**
 * The chance of each value of a choice from `low` to `high`: as likely each, about one of them (a normal curve's
 * weights exp(−((k − m) / s)² / 2) over the range), or as a table says, where what is not named weighs nothing.
 *
 * @returns by value less `low`; all 0 where nothing weighs anything. Undefined where there are too many.
 */
export const likelihoods = (
  likely: Likely | undefined,
  low: number,
  high: number,
): Float64Array | undefined => {
  if (high - low >= MOST_WEIGHED) return undefined;
  const weights = Float64Array.from({ length: high - low + 1 }, (_, index) => weightOf(likely, low + index));
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  return all > 0 ? weights.map((weight) => weight / all) : weights;
};

const weightOf = (likely: Likely | undefined, value: number): number => {
  if (!likely) return 1;
  if ('table' in likely) return Object.hasOwn(likely.table, value) ? likely.table[value] : 0;
  return Math.exp(-(((value - likely.around) / likely.within) ** 2) / 2);
};
