import { Card, showCard, suitOf } from '@enumeron/core';

/** What is printed on a card: its rank, its symbol, and the suit whose colour both take. */
export interface Face {
  readonly rank: string;
  readonly symbol: string;
  readonly suit: number | 'joker';
}

/** A joker shows its letter in the rank's place and its number in the symbol's. */
export const faceOf = (card: Card): Face => {
  const name = showCard(card);
  return { rank: name.slice(0, -1), symbol: name.slice(-1), suit: suitOf(card) ?? 'joker' };
};
