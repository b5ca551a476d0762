/**
 * A card as a small integer: `suit * 13 + rank − 1` with the suits in the order clubs, diamonds, hearts,
 * spades (0 to 51), then the two jokers (52 and 53). A pack that holds a card twice has its second copy as
 * the same number plus 54, so that the two are told apart.
 */
export type Card = number;

/** A suit: 0 clubs, 1 diamonds, 2 hearts, 3 spades. */
export type Suit = 0 | 1 | 2 | 3;

/** A rank from 1 (ace) to 13 (king). */
export type Rank = 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8 | 9 | 10 | 11 | 12 | 13;

export type Colour = 'black' | 'red';

export const SUITS: readonly Suit[] = [0, 1, 2, 3];
export const RANKS: readonly Rank[] = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13];
export const JOKERS: readonly Card[] = [52, 53];

/** How many cards are not jokers. */
export const FULL_PACK = 52;
/** What a second copy's number has more than the first's. */
const SECOND = 54;
/** The most cards of a pack: all, with jokers or a few duplicates. */
export const LARGEST_PACK = 60;

export const cardOf = (rank: Rank, suit: Suit): Card => suit * 13 + rank - 1;

export const isCard = (value: unknown): value is Card =>
  typeof value === 'number' && Number.isInteger(value) && value >= 0 && value < 2 * SECOND;

/** Whether a card is the second copy of one that a pack holds twice. */
export const isSecond = (card: Card): boolean => card >= SECOND;

/** The first copy of a card: the card itself unless it is a second one. */
export const firstOf = (card: Card): Card => card % SECOND;

export const secondOf = (card: Card): Card => firstOf(card) + SECOND;

/** Whether two cards look the same: one card, or the two copies of one. */
export const looksLike = (a: Card, b: Card): boolean => firstOf(a) === firstOf(b);

export const isJoker = (card: Card): boolean => firstOf(card) >= FULL_PACK;

/** The rank, or undefined for a joker. */
export const rankOf = (card: Card): Rank | undefined =>
  isJoker(card) ? undefined : (((firstOf(card) % 13) + 1) as Rank);

/** The suit, or undefined for a joker. */
export const suitOf = (card: Card): Suit | undefined =>
  isJoker(card) ? undefined : (Math.floor(firstOf(card) / 13) as Suit);

/** The colour, or undefined for a joker. Diamonds and hearts are red. */
export const colourOf = (card: Card): Colour | undefined => {
  const suit = suitOf(card);
  return suit === undefined ? undefined : suit === 1 || suit === 2 ? 'red' : 'black';
};

/** The other card of the same rank and colour; for a joker, the other joker; for a second copy, the mate's. */
export const mateOf = (card: Card): Card => {
  if (isSecond(card)) return secondOf(mateOf(firstOf(card)));
  if (isJoker(card)) return card === 52 ? 53 : 52;
  return cardOf(rankOf(card) as Rank, (3 - (suitOf(card) as Suit)) as Suit);
};
