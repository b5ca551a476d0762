import { Order } from '../deck/order';
import { Rule } from './rule';

/**
 * What a move makes of places, whatever the cards: at each index from 0 of the new order, the index in the
 * old one from which its card comes.
 */
export type Arrangement = readonly number[];

/** The order in which an arrangement lays another. */
const arrangeBy = (order: Order, arrangement: Arrangement): Order => arrangement.map((index) => order[index]);

/** The arrangement that takes another back. */
export const invertArrangement = (arrangement: Arrangement): Arrangement => {
  const inverse = new Array<number>(arrangement.length);
  arrangement.forEach((from, to) => (inverse[from] = to));
  return inverse;
};

export const arranging = <M>(
  arrange: (move: M, size: number) => Arrangement,
): Pick<Rule<M>, 'apply' | 'place'> => ({
  apply: (order, move) => arrangeBy(order, arrange(move, order.length)),
  place: (move, place, size) => arrange(move, size).indexOf(place - 1) + 1,
});

/** The indices from `from` up to, not with, `to`. */
export const range = (from: number, to: number): number[] =>
  Array.from({ length: Math.max(0, to - from) }, (_, index) => from + index);
