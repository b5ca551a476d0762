import { Card, firstOf, isJoker, isSecond, Rank, rankOf, suitOf } from '../deck/card';
import { showCard } from '../deck/notation';
import { Order } from '../deck/order';
import { formatOrder } from '../deck/orderText';

/** How an order is set out as plain text. `parseOrder` reads every one of them back. */
export type OrderLayout = 'letters' | 'symbols' | 'numbered lines' | 'card characters';

export const ORDER_LAYOUTS: readonly OrderLayout[] = [
  'letters',
  'symbols',
  'numbered lines',
  'card characters',
];

/** A card's character in the Unicode block of playing cards: spades, hearts, diamonds, clubs; no knights. */
export const cardCharacter = (card: Card): string => {
  if (isSecond(card)) return `${cardCharacter(firstOf(card))}²`;
  if (isJoker(card)) return String.fromCodePoint(card === 52 ? 0x1f0cf : 0x1f0df);
  const rank = rankOf(card) as Rank;
  return String.fromCodePoint(0x1f0a0 + 16 * (3 - (suitOf(card) as number)) + rank + (rank > 11 ? 1 : 0));
};

const LAYOUTS: Readonly<Record<OrderLayout, (order: Order) => string>> = {
  letters: formatOrder,
  symbols: (order) => order.map(showCard).join(' '),
  'numbered lines': (order) => order.map((card, index) => `${index + 1}. ${showCard(card)}`).join('\n'),
  'card characters': (order) => order.map(cardCharacter).join(' '),
};

/** An order as the text of a file, with a line end at its end. */
export const layOut = (order: Order, layout: OrderLayout): string => `${LAYOUTS[layout](order)}\n`;
