import { cardNamed } from '../procedure/laid';
import { colourAt, Look, lookOf, rankAt, suitAt } from './look';
import { CardClass, SuitLetter } from './wish';

const LETTERS: readonly SuitLetter[] = ['C', 'D', 'H', 'S'];

export const suitOfLetter = (letter: SuitLetter): number => LETTERS.indexOf(letter);

/** The look that a written card has, -1 where it is none. */
export const lookNamed = (text: string): Look => {
  const card = cardNamed(text);
  return card === undefined ? -1 : lookOf(card);
};

/** Whether a card is one of those that are meant. */
export const isOf = ({ cards, suits, ranks, colour }: CardClass, look: Look): boolean =>
  (cards === undefined || cards.some((card) => lookNamed(card) === look)) &&
  (suits === undefined || suits.some((suit) => suitOfLetter(suit) === suitAt(look))) &&
  (ranks === undefined || ranks.includes(rankAt(look))) &&
  (colour === undefined || colourAt(look) === colour);
