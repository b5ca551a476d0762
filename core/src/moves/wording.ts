/** `1 card`, `2 cards`. */
export const cards = (count: number): string => (count === 1 ? '1 card' : `${count} cards`);
