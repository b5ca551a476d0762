/** A stretch of values, both ends included, and how likely it is. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly chance: number;
}

/** What is lost by adding up: a chance that is wanted exactly must not be missed by it. */
const LOST = 1e-12;

/**
 * The narrowest stretch of values that is at least as likely as wanted; of equally narrow ones the likeliest, and of
 * those the one that lies nearest the middle.
 *
 * @param chances by value less `low`; they add up to 1 or less.
 * @param low the first value.
 * @param wanted above 0, at most 1.
 * @returns undefined where all values together are not so likely.
 */
export const narrowest = (
  chances: readonly number[] | Float64Array,
  low: number,
  wanted: number,
): Stretch | undefined => {
  const sums = [0];
  for (const chance of chances) sums.push(sums[sums.length - 1] + chance);
  const between = (from: number, width: number): number => sums[from + width] - sums[from];
  for (let width = 1; width <= chances.length; width++) {
    let best: number | undefined;
    for (let from = 0; from + width <= chances.length; from++) {
      if (between(from, width) + LOST < wanted) continue;
      const off = (at: number): number => Math.abs(2 * at + width - chances.length);
      const gain = best === undefined ? 1 : between(from, width) - between(best, width);
      if (gain > LOST || (best !== undefined && gain > -LOST && off(from) < off(best))) best = from;
    }
    if (best !== undefined)
      return { from: low + best, to: low + best + width - 1, chance: Math.min(1, between(best, width)) };
  }
  return undefined;
};
