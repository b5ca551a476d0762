import {
  formatCard,
  isCardBegun,
  Order,
  parseCard,
  parseRank,
  placeOf,
  rankOf,
  showCard,
  whyNotCard,
} from '@enumeron/core/deck';

/** What a text in a field was read as: a value, what is wrong with it, or neither while it may go on. */
export interface Reading {
  readonly value?: number;
  readonly problem?: string;
}

/** Reads a card that must be in the pack. A rank alone may go on to be a card. */
export const cardReader =
  (pack: Order) =>
  (text: string): Reading => {
    const card = parseCard(text);
    if (card === undefined)
      return text.length < 2 || parseRank(text) !== undefined || isCardBegun(text)
        ? {}
        : { problem: `“${text}” is not a card. ${whyNotCard(text)}` };
    return placeOf(pack, card) === undefined
      ? { problem: `${showCard(card)} is not in this pack.` }
      : { value: card };
  };

/** The cards of a pack that a rank alone may go on to be. */
export const cardCompleter =
  (pack: Order) =>
  (text: string): readonly string[] => {
    const rank = parseRank(text === '1' ? '10' : text);
    return rank === undefined ? [] : pack.filter((card) => rankOf(card) === rank).map(formatCard);
  };

/** Reads a whole number from the least (1) to the largest. */
export const numberReader =
  (largest: number, least = 1) =>
  (text: string): Reading => {
    const value = /^\d{1,3}$/.test(text) ? Number(text) : -1;
    return value >= least && value <= largest
      ? { value }
      : { problem: `“${text}” is not a number from ${least.toString()} to ${largest.toString()}.` };
  };

/** Reads a rank: ace to king. A 1 may go on to be a 10. */
export const rankReader = (text: string): Reading => {
  const value = parseRank(text);
  if (value !== undefined) return { value };
  return text === '1' || text === '' ? {} : { problem: `“${text}” is not a rank: A, 2 to 10, J, Q or K.` };
};
