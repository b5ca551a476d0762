import { Order } from '../deck/order';
import { mod } from '../deck/mod';
import { cards } from './wording';
import { ShapeOf } from '../deck/shape';
import { COUNT } from './counts';

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
  const at = mod(count, order.length);
  return [...order.slice(at), ...order.slice(0, at)];
};

export const invertCut = ({ count }: Cut, size: number): Cut => ({ kind: 'cut', count: mod(-count, size) });

/** The place (from 1) to which a cut takes the card at `place`. */
export const placeAfterCut = ({ count }: Cut, place: number, size: number): number =>
  mod(place - 1 - count, size) + 1;

export const describeCut = ({ count }: Cut): string =>
  count === 0 ? 'Leave the pack as it is.' : `Cut ${cards(count)} from the top to the bottom.`;

export const CUT_SHAPE: ShapeOf<Cut> = { count: COUNT };
