import { Order } from '../deck/order';
import { COUNT } from './counts';
import { Rule } from './rule';
import { countOfCards } from './wording';

/** The top `count` cards are dealt singly into a heap, which reverses them, and the heap goes back on top. */
export interface Deal {
  readonly kind: 'deal';
  readonly count: number;
}

/** @param count cards dealt, 0 to N; a larger count deals the whole pack. */
export const deal = (order: Order, count: number): Order => [
  ...order.slice(0, count).reverse(),
  ...order.slice(count),
];

export const DEAL: Rule<Deal> = {
  shape: { count: COUNT },
  written: {
    usage: 'deal 9',
    says: 'cards dealt singly and dropped back on top',
    pattern: /^deal (\d+)$/,
    parse: ([count]) => ({ kind: 'deal', count: Number(count) }),
  },
  apply: (order, { count }) => deal(order, count),
  // It undoes itself.
  invert: (move) => move,
  place: ({ count }, place, size) => {
    const dealt = Math.min(count, size);
    return place <= dealt ? dealt + 1 - place : place;
  },
  describe: ({ count }) => `Deal ${countOfCards(count)} singly into a heap and drop the heap back on top.`,
};
