import { Card, isJoker, isSecond, Suit, suitOf } from './card';

/** Suits in the order in which colours alternate: spades, hearts, clubs, diamonds. */
const SUITS_IN_TURN: readonly Suit[] = [3, 2, 0, 1];

/**
 * Cards in rows for the eye: a row for each suit, ace to king, then the jokers and second copies as they come. A row
 * without a card is left out.
 */
export const bySuit = (cards: readonly Card[]): Card[][] =>
  [
    ...SUITS_IN_TURN.map((suit) =>
      cards.filter((card) => suitOf(card) === suit && !isSecond(card)).sort((a, b) => a - b),
    ),
    cards.filter((card) => isJoker(card) || isSecond(card)),
  ].filter((row) => row.length > 0);
