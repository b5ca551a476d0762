import { Card } from './card';
import { Order } from './order';
import { CARD, cardList, oneOf, optional, Part, shape, ShapeOf } from './shape';

/** One card that was seen in a pack as it lies now. */
export interface Glimpse {
  readonly at: 'face' | 'top';
  readonly card: Card;
}

/** A pack as it lies: its home order, the order now, and the last card seen of it. */
export interface LaidPack {
  readonly home: Order;
  readonly now: Order;
  readonly seen?: Glimpse;
}

const GLIMPSE: ShapeOf<Glimpse> = { at: oneOf('face', 'top'), card: CARD };

/** The very cards of the home order, in whichever order. */
const NOW: Part = (value, { home }) => {
  const problem = cardList(1)(value, {});
  if (problem) return problem;
  const [cards, own] = [value as Order, new Set(home as Order)];
  return cards.length === own.size && cards.every((card) => own.has(card))
    ? undefined
    : { what: 'The pack holds other cards than its order.', remedy: 'They must be the same.' };
};

/** What the fields of a pack as it lies must be. */
export const LAID_PACK: ShapeOf<LaidPack> = { home: cardList(1), now: NOW, seen: optional(shape(GLIMPSE)) };
