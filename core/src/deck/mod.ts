/** The remainder in [0, size), also for negative values; 0 where the size is 0. */
export const mod = (value: number, size: number): number => {
  if (size === 0) return 0;
  const rest = value % size;
  // Added to 0: there is no negative zero.
  return rest < 0 ? rest + size : rest + 0;
};
