import { Order } from '../deck/order';
import { cards } from './wording';
import { ShapeOf } from '../deck/shape';
import { COUNT } from './counts';

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

/** A deal undoes itself. */
export const invertDeal = (move: Deal): Deal => move;

/** The place (from 1) to which a deal takes the card at `place`. */
export const placeAfterDeal = ({ count }: Deal, place: number, size: number): number => {
  const dealt = Math.min(count, size);
  return place <= dealt ? dealt + 1 - place : place;
};

export const describeDeal = ({ count }: Deal): string =>
  `Deal ${cards(count)} singly into a heap and drop the heap back on top.`;

export const DEAL_SHAPE: ShapeOf<Deal> = { count: COUNT };
