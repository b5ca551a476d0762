import { Card, cardOf, isJoker, isSecond, RANKS, SUITS } from '../deck/card';
import { Order, placeOf } from '../deck/order';

/**
 * Sorting a shuffled pack by dealing it into heaps again and again: a radix sort from the least digit, done by
 * hand. Each card is turned face up onto the top of its heap. Then the second heap goes on the first, the third
 * on those, and so on, and the whole is turned face down: within a heap the card dealt first lies highest, so
 * that the order of the pass before is kept.
 */
export interface SortingPlan {
  /** How many heaps a pass uses. */
  readonly heaps: number;
  readonly passes: number;
  /** Cards dealt in all. */
  readonly handled: number;
}

/** @param size cards in the pack. @param heaps 2 or more; into one heap nothing is ever sorted. */
export const sortingPlan = (size: number, heaps: number): SortingPlan => {
  if (heaps < 2) return { heaps, passes: Infinity, handled: Infinity };
  let passes = 1;
  for (let reach = heaps; reach < size; reach *= heaps) passes++;
  return { heaps, passes, handled: passes * size };
};

/**
 * The heap (from 1) to which a card goes in a pass.
 *
 * @param home the order wanted. @param pass from 1.
 * @returns undefined for a card that is not in the order.
 */
export const sortingHeap = (home: Order, card: Card, heaps: number, pass: number): number | undefined => {
  const place = placeOf(home, card);
  return place === undefined ? undefined : (Math.floor((place - 1) / heaps ** (pass - 1)) % heaps) + 1;
};

/** What a pass makes of a pack: the gathered pack, top first. */
export const sortingPass = (home: Order, now: Order, heaps: number, pass: number): Order => {
  const laid = Array.from({ length: heaps }, (): Card[] => []);
  for (const card of now) laid[(sortingHeap(home, card, heaps, pass) ?? 1) - 1].push(card);
  return laid.flat();
};

/** The pack as a pass (from 1) begins, when its cards came in the order `shown` in the first. */
export const sortingStart = (home: Order, shown: Order, heaps: number, pass: number): Order => {
  let now = shown;
  for (let done = 1; done < pass; done++) now = sortingPass(home, now, heaps, done);
  return now;
};

/** A pack's cards in rows for a table: a row for each suit, ace to king, then what else it has. */
export const sortingRows = (home: Order): Order[] => [
  ...SUITS.map((suit) => RANKS.map((rank) => cardOf(rank, suit))),
  home.filter((card) => isJoker(card) || isSecond(card)),
];
