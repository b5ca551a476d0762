import { choose, factorial } from './counting';

/** How many orders of n cards have each number of rising sequences, 1 to n: the Eulerian numbers (index r − 1). */
const eulerian = (n: number): bigint[] => {
  let row = [1n];
  for (let size = 2; size <= n; size++)
    row = Array.from(
      { length: size },
      (_, index) =>
        BigInt(index + 1) * (index < row.length ? row[index] : 0n) +
        BigInt(size - index) * (index > 0 ? row[index - 1] : 0n),
    );
  return row;
};

/**
 * How far a pack is from well shuffled after so many riffles (Gilbert–Shannon–Reeds): the total variation
 * distance from an order in which everything is as likely, exact to twelve places. An order with r rising
 * sequences has the chance C(2^k + n − r, n) / 2^(kn) (Bayer and Diaconis, 1992).
 *
 * @param size cards in the pack, 1 or more. @param riffles 0 or more.
 * @returns from 1 (it may as well be in order) to 0 (well shuffled).
 */
export const riffleDistance = (size: number, riffles: number): number => {
  const [all, ways] = [factorial(size), 2n ** BigInt(riffles * size)];
  const piles = 2n ** BigInt(riffles);
  const sum = eulerian(size).reduce((total, count, index) => {
    const gap = choose(piles + BigInt(size - index - 1), size) * all - ways;
    return total + count * (gap < 0n ? -gap : gap);
  }, 0n);
  return Number((sum * 10n ** 12n) / (2n * ways * all)) / 1e12;
};
