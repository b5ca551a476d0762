import { Order, parseCard, parseRank, placeOf, showCard, whyNotCard } from '@enumeron/core';

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
      return text.length < 2 || parseRank(text) !== undefined
        ? {}
        : { problem: `“${text}” is not a card. ${whyNotCard(text)}` };
    return placeOf(pack, card) === undefined
      ? { problem: `${showCard(card)} is not in this pack.` }
      : { value: card };
  };

/** Reads a whole number from 1 to the largest. */
export const numberReader =
  (largest: number) =>
  (text: string): Reading => {
    const value = /^\d{1,3}$/.test(text) ? Number(text) : 0;
    return value >= 1 && value <= largest
      ? { value }
      : { problem: `“${text}” is no number from 1 to ${largest.toString()}.` };
  };
