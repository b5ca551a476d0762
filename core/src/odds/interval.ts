/** A share found by trying: how often it was so, and between what it lies 19 times in 20 (Wilson's interval). */
export interface Estimate {
  readonly share: number;
  readonly low: number;
  readonly high: number;
  readonly tries: number;
}

/** Wilson's interval for a share, at 95 % (E. B. Wilson, 1927). */
export const estimate = (hits: number, tries: number): Estimate => {
  if (tries === 0) return { share: 0, low: 0, high: 1, tries };
  const z = 1.959964;
  const share = hits / tries;
  const middle = (share + (z * z) / (2 * tries)) / (1 + (z * z) / tries);
  const half =
    (z / (1 + (z * z) / tries)) * Math.sqrt((share * (1 - share)) / tries + (z * z) / (4 * tries * tries));
  return { share, low: Math.max(0, middle - half), high: Math.min(1, middle + half), tries };
};
