/**
 * How likely a helper who is asked to cut about in the middle cuts so many cards, for counts 1 to N − 1 (index =
 * count; index 0 is 0). Until cuts have been recorded this is a bell about N / 2 with a spread of N / 8, which
 * is a default and not a measurement.
 */
export const cutChances = (size: number): number[] => {
  const weights = Array.from({ length: size }, (_, count) =>
    count === 0 ? 0 : Math.exp(-(((count - size / 2) / (size / 8)) ** 2) / 2),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => (total === 0 ? 0 : weight / total));
};
