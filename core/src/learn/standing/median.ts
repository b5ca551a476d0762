/** The middle one of several numbers, the lower of two in the middle; undefined where there is none. */
export const median = (values: readonly number[]): number | undefined =>
  [...values].sort((a, b) => a - b).at(Math.floor((values.length - 1) / 2));
