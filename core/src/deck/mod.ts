/** The remainder in [0, size), also for negative values. */
export const mod = (value: number, size: number): number => (size === 0 ? 0 : ((value % size) + size) % size);
