/**
 * How likely a helper who is asked to cut about in the middle cuts so many cards, for counts 1 to N − 1 (index =
 * count; index 0 is 0): a bell about N / 2.
 *
 * @param spread its standard deviation in cards, above 0. Until cuts have been recorded N / 8 is a default and not
 *   a measurement.
 */
export const cutChances = (size: number, spread = size / 8): number[] => {
  const weights = Array.from({ length: size }, (_, count) =>
    count === 0 ? 0 : Math.exp(-(((count - size / 2) / spread) ** 2) / 2),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => (total === 0 ? 0 : weight / total));
};
