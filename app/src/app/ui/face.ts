import { Card, showCard, suitOf } from '@enumeron/core/deck';

/** What is printed on a card: its rank, its symbol, and the suit whose colour both take. */
export interface Face {
  readonly rank: string;
  readonly symbol: string;
  readonly suit: number | 'joker';
}

/** A joker shows its letter in the rank's place and its number in the symbol's; a second copy its ² too. */
export const faceOf = (card: Card): Face => {
  const name = showCard(card);
  const rank = /^(10|.)/u.exec(name)?.[0] ?? '';
  return { rank, symbol: name.slice(rank.length), suit: suitOf(card) ?? 'joker' };
};
