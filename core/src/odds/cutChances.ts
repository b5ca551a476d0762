/**
 * How likely a helper who is asked to cut about so many cards cuts each count from 1 to N − 1 (index = count;
 * index 0 is 0): a bell.
 *
 * @param spread its standard deviation in cards, above 0: two in three cut so near. Until cuts have been recorded
 *   N / 8 is a default and not a measurement.
 * @param about the likeliest count; the middle unless told.
 */
export const cutChances = (size: number, spread = size / 8, about = size / 2): number[] => {
  const weights = Array.from({ length: size }, (_, count) =>
    count === 0 ? 0 : Math.exp(-(((count - about) / spread) ** 2) / 2),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => (total === 0 ? 0 : weight / total));
};

/** A value by its chance. @param chances that add up to 1. @param drawn from 0 up to 1. @returns its index. */
export const drawFrom = (chances: readonly number[], drawn: number): number => {
  let left = drawn;
  const index = chances.findIndex((chance) => (left -= chance) < 0);
  // What is lost by rounding belongs to the last one that has a chance.
  return index >= 0 ? index : chances.reduce((last, chance, each) => (chance > 0 ? each : last), 0);
};
