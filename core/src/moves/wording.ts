import { countOf } from '../deck/countOf';

/** `1 card`, `2 cards`. */
export const countOfCards = (count: number): string => countOf(count, 'card');

/** `1st`, `2nd`, `3rd`, `4th`, … `11th`, `21st`. */
export const ordinal = (count: number): string => {
  const teen = Math.floor(count / 10) % 10 === 1;
  const ending = teen ? undefined : ['st', 'nd', 'rd'].at((count % 10) - 1);
  return `${count}${count % 10 >= 1 && count % 10 <= 3 && ending ? ending : 'th'}`;
};
