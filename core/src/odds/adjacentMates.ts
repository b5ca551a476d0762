import { factorial, power, share } from './counting';

/**
 * The chance that in a well-shuffled pack of several kinds of cards two of one kind lie side by side. Of each kind's
 * cards every way to glue neighbours together is counted with its sign: m cards in i lumps stand for
 * (−1)^(m − i) · C(m − 1, i − 1) · m! / i! orders, and the lumps of all kinds are then ordered freely (inclusion and
 * exclusion; with two of each it is Eriksson and others' count of mates).
 *
 * @param kinds how many, 1 or more: 26 pairs of mates, 13 ranks. @param each cards of each kind, 1 or more.
 */
export const adjacentKindsChance = (kinds: number, each: number): number => {
  const lumps = Array<bigint>(each + 1).fill(0n);
  let ways = 1n;
  for (let i = 1; i <= each; i++) {
    const orders = (ways * factorial(each)) / factorial(i);
    lumps[i] = (each - i) % 2 === 0 ? orders : -orders;
    ways = (ways * BigInt(each - i)) / BigInt(i);
  }
  const apart = power(lumps, kinds).reduce((sum, count, things) => sum + count * factorial(things), 0n);
  const all = factorial(kinds * each);
  return share(all - apart, all);
};

/** The chance that at least one pair of mates lies side by side. @param pairs 1 or more: 26 in a full pack. */
export const adjacentMatesChance = (pairs: number): number => adjacentKindsChance(pairs, 2);
