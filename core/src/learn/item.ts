import { Card, firstOf, mateOf } from '../deck/card';
import { mod } from '../deck/mod';
import { formatCard, parseCard, showCard } from '../deck/notation';
import { Order, placeOf } from '../deck/order';
import { Answer, saidCards, saidNumber, sameSaid, showSaid } from './said';

/**
 * One way in which a card is asked: its number, the card of its number, what follows it, what precedes it, both cards
 * around it, or the number of its mate.
 */
export type Direction = 'number' | 'card' | 'after' | 'before' | 'around' | 'mate';

/** The four directions that make an order known, and those that are asked only where the user wants them. */
export const DIRECTIONS: readonly Direction[] = ['number', 'card', 'after', 'before'];
export const MORE_DIRECTIONS: readonly Direction[] = ['around', 'mate'];

/** One thing to be known: a card of an order in one direction. It is remembered and forgotten by itself. */
export interface Item {
  readonly direction: Direction;
  /** The card that it is about, also where its number is what is asked about. */
  readonly card: Card;
}

/** An item as a text that no other item of the order has: `number 7D`. */
export const itemId = ({ direction, card }: Item): string => `${direction} ${formatCard(card)}`;

/** The item of such a text, or undefined where it is none. */
export const parseItem = (text: string): Item | undefined => {
  const [word, name, ...more] = text.split(' ');
  const direction = [...DIRECTIONS, ...MORE_DIRECTIONS].find((each) => each === word);
  const card = more.length === 0 && (name as string | undefined) ? parseCard(name) : undefined;
  return direction && card !== undefined && itemId({ direction, card }) === text
    ? { direction, card }
    : undefined;
};

/** The card that lies so many places behind another, round the order's end. */
const neighbour = (order: Order, card: Card, steps: number): Card =>
  order[mod((placeOf(order, card) ?? 1) - 1 + steps, order.length)];

export const promptOf = ({ direction, card }: Item, order: Order): Answer =>
  direction === 'card' ? saidNumber(placeOf(order, card) ?? 0) : saidCards(card);

export const truthOf = ({ direction, card }: Item, order: Order): Answer => {
  switch (direction) {
    case 'number':
      return saidNumber(placeOf(order, card) ?? 0);
    case 'card':
      return saidCards(card);
    case 'after':
      return saidCards(neighbour(order, card, 1));
    case 'before':
      return saidCards(neighbour(order, card, -1));
    case 'around':
      return saidCards(neighbour(order, card, -1), neighbour(order, card, 1));
    case 'mate':
      return saidNumber(placeOf(order, mateOf(card)) ?? 0);
  }
};

/**
 * Every item of an order in these directions, in the order's own order. An item without an answer is left out: a mate
 * that the order does not hold, a neighbour where there is only one card.
 */
export const itemsOf = (order: Order, directions: readonly Direction[] = DIRECTIONS): Item[] =>
  order.flatMap((card) =>
    directions
      .filter((direction) =>
        direction === 'mate'
          ? firstOf(card) < 52 && placeOf(order, mateOf(card)) !== undefined
          : direction === 'number' || direction === 'card' || order.length > 1,
      )
      .map((direction) => ({ direction, card })),
  );

/** What an answer is worth: whether it is right, the truth, and what it would have been right for. */
export interface Verdict {
  readonly right: boolean;
  readonly truth: Answer;
  /** The item that the wrong answer answers, of the same direction: what was confused with what. */
  readonly confused: Item | undefined;
}

export const judge = (item: Item, order: Order, answer: Answer): Verdict => {
  const truth = truthOf(item, order);
  const right = sameSaid(truth, answer);
  const confused = right
    ? undefined
    : itemsOf(order, [item.direction]).find((other) => sameSaid(truthOf(other, order), answer));
  return { right, truth, confused };
};

/** What was mixed up, in a sentence; nothing where the wrong answer is right for no other item. */
export const sayConfused = (
  { direction }: Item,
  order: Order,
  said: Answer,
  other: Item | undefined,
): string => {
  if (!other) return '';
  if (direction === 'number') return `${showCard(other.card)} lies at ${showSaid(said)}.`;
  if (direction === 'card') return `${showSaid(said)} lies at ${showSaid(promptOf(other, order))}.`;
  return `That is so for ${showCard(other.card)}.`;
};

/** What a direction is called, and its question. */
export const DIRECTION_WORDS: Readonly<Record<Direction, { readonly name: string; readonly asks: string }>> =
  {
    number: { name: 'card to number', asks: 'Where is it?' },
    card: { name: 'number to card', asks: 'Which card lies there?' },
    after: { name: 'what follows', asks: 'What follows it?' },
    before: { name: 'what precedes', asks: 'What precedes it?' },
    around: { name: 'both around it', asks: 'Between which two does it lie?' },
    mate: { name: 'its mate’s number', asks: 'Where is its mate?' },
  };
