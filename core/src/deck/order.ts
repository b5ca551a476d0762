import { Card, FULL_PACK } from './card';

/** Cards from the top (index 0) to the face. Never changed in place; a move gives a new one. */
export type Order = readonly Card[];

/** Where a card lies in an order, from 1 at the top, or undefined when it is not in it. */
export const placeOf = (order: Order, card: Card): number | undefined => {
  const index = order.indexOf(card);
  return index < 0 ? undefined : index + 1;
};

/** The card at a place from 1 (top) to N (face), or undefined outside. */
export const cardAt = (order: Order, place: number): Card | undefined => order[place - 1];

/** A pack in the order of its numbers: ace to king of clubs, diamonds, hearts, spades. */
export const numberOrder = (): Order => Array.from({ length: FULL_PACK }, (_, card) => card);

/** The cards of a full pack that are not among `cards`, clubs first, aces first. Jokers are never missed. */
export const missingCards = (cards: Iterable<Card>): Card[] => {
  const present = new Set(cards);
  return numberOrder().filter((card) => !present.has(card));
};

export const sameOrder = (a: Order, b: Order): boolean =>
  a.length === b.length && a.every((card, index) => card === b[index]);
