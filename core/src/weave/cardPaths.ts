import { placeOf, Order } from '../deck/order';
import { Move } from '../moves/move';
import { upperOf } from '../moves/weave';

/**
 * Where each card of the first order lies in every one of them.
 *
 * @param orders the pack before a row, and after each of its moves.
 * @returns by the card's index in the first order: its places, from 1.
 */
export const cardPaths = (orders: readonly Order[]): readonly (readonly number[])[] => {
  const places = orders.map((order) => {
    const at = new Map<number, number>();
    order.forEach((card, index) => at.set(card, index + 1));
    return at;
  });
  return (orders.at(0) ?? []).map((card) => places.map((at) => at.get(card) ?? 0));
};

/** Two packets that a move makes of a pack, or lays together: so many cards each, from the top. */
export interface Packets {
  readonly upper: number;
  readonly lower: number;
  /** Whether they lie so before the move (a weave, a cut) or after it (a weave taken back). */
  readonly when: 'before' | 'after';
}

/** The packets of a weave, its reverse or a cut of `size` cards; undefined for other moves. */
export const packetsOf = (move: Move, size: number): Packets | undefined => {
  switch (move.kind) {
    case 'weave':
    case 'unweave': {
      const count = Math.min(move.top ?? size, size);
      const upper = upperOf(count, move.weave);
      return { upper, lower: count - upper, when: move.kind === 'weave' ? 'before' : 'after' };
    }
    case 'weave packet':
    case 'unweave packet': {
      const count = Math.min(move.count, size >> 1);
      return { upper: count, lower: count, when: move.kind === 'weave packet' ? 'before' : 'after' };
    }
    case 'cut':
      return { upper: move.count, lower: size - move.count, when: 'before' };
    default:
      return undefined;
  }
};

/** Where a card lies in each of some orders, from 1; undefined where it is not there. */
export const pathOf = (orders: readonly Order[], card: number): readonly number[] | undefined => {
  const path = orders.map((order) => placeOf(order, card));
  return path.every((place) => place !== undefined) ? path : undefined;
};
