/** A source of randomness: each call gives the next number in [0, 1). */
export type Rng = () => number;

/** The state that a seed begins with: never 0. */
export const firstState = (seed: number): number => {
  let state = seed | 0;
  state = Math.imul(state ^ (state >>> 16), 0x85ebca6b);
  state = Math.imul(state ^ (state >>> 13), 0xc2b2ae35);
  return (state ^ (state >>> 16)) | 0 || 0x9e3779b9;
};

/** The state behind another; where it is below 0, its number is one half or more. */
export const nextState = (state: number): number => {
  let next = state ^ (state << 13);
  next ^= next >>> 17;
  return next ^ (next << 5);
};

/**
 * A generator that gives the same numbers for the same seed: xorshift of 32 bits with the shifts 13, 17 and 5
 * (Marsaglia, "Xorshift RNGs", 2003), its state spread from the seed by the finaliser of MurmurHash3.
 *
 * @param seed any integer.
 */
export const seededRng = (seed: number): Rng => {
  let state = firstState(seed);
  return () => {
    state = nextState(state);
    return (state >>> 0) / 0x1_0000_0000;
  };
};

/** A whole number from 0 to `limit` − 1, each as likely. */
export const randomInt = (rng: Rng, limit: number): number => Math.floor(rng() * limit);

/** The items in an order in which every arrangement is as likely (Fisher–Yates). The input stays as it is. */
export const shuffled = <Item>(items: readonly Item[], rng: Rng): Item[] => {
  const result = [...items];
  for (let last = result.length - 1; last > 0; last--) {
    const other = randomInt(rng, last + 1);
    [result[last], result[other]] = [result[other], result[last]];
  }
  return result;
};
