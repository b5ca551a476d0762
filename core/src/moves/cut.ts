import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { COUNT } from './counts';
import { Rule } from './rule';
import { countOfCards } from './wording';

/** The top `count` cards, as they are, go to the bottom. */
export interface Cut {
  readonly kind: 'cut';
  readonly count: number;
}

/**
 * Cuts an order. A count beyond the pack is taken round it, so that cut(o, N) and cut(o, 0) are the same.
 *
 * @param count cards that leave the top, 0 to N.
 */
export const cut = (order: Order, count: number): Order => {
  const size = order.length;
  const at = mod(count, size);
  const after = order.slice();
  for (let index = at; index < size; index++) after[index - at] = order[index];
  for (let index = 0; index < at; index++) after[size - at + index] = order[index];
  return after;
};

export const CUT: Rule<Cut> = {
  shape: { count: COUNT },
  written: {
    usage: 'cut 12',
    says: 'cards cut from top to bottom',
    pattern: /^cut (\d+)$/,
    parse: ([count]) => ({ kind: 'cut', count: Number(count) }),
  },
  apply: (order, { count }) => cut(order, count),
  invert: ({ count }, size) => ({ kind: 'cut', count: mod(-count, size) }),
  place: ({ count }, place, size) => mod(place - 1 - count, size) + 1,
  describe: ({ count }) =>
    count === 0 ? 'Leave the pack as it is.' : `Cut ${countOfCards(count)} from the top to the bottom.`,
};
