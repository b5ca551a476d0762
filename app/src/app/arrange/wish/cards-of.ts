import { Card } from '@enumeron/core/deck';
import { laidOf } from '@enumeron/core/file/wish/checkWish';

/** The cards of an order as they are written. */
export const cardsOf = (order: readonly string[]): readonly Card[] => laidOf(order);
