import { Order } from '../deck/order';

/**
 * What a move makes of places, whatever the cards: at each index from 0 of the new order, the index in the
 * old one from which its card comes.
 */
export type Arrangement = readonly number[];

/** The order in which an arrangement lays another. */
export const arrangeBy = (order: Order, arrangement: Arrangement): Order =>
  arrangement.map((index) => order[index]);

/** The arrangement that takes another back. */
export const invertArrangement = (arrangement: Arrangement): Arrangement => {
  const inverse = new Array<number>(arrangement.length);
  arrangement.forEach((from, to) => (inverse[from] = to));
  return inverse;
};

/** Where an arrangement takes the card at `place`, both from 1. */
export const placeIn = (arrangement: Arrangement, place: number): number =>
  arrangement.indexOf(place - 1) + 1;

/** The indices from `from` up to, not with, `to`. */
export const range = (from: number, to: number): number[] =>
  Array.from({ length: Math.max(0, to - from) }, (_, index) => from + index);
