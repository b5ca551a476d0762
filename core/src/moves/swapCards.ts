import { Part } from '../deck/shape';
import { arranging, range } from './arrangement';
import { PLACE } from './counts';
import { Rule } from './rule';

/** The cards at two places, from 1, change places. */
export interface SwapCards {
  readonly kind: 'swap cards';
  readonly one: number;
  readonly other: number;
}

const OTHER: Part = (value, fields) =>
  PLACE(value, fields) ??
  (value === fields['one']
    ? { what: 'A card can’t change places with itself.', remedy: 'Name another place.' }
    : undefined);

/** A place that the pack does not have leaves it as it is. */
const arrangeSwap = ({ one, other }: SwapCards, size: number): number[] => {
  const places = range(0, size);
  if (Math.max(one, other) <= size) [places[one - 1], places[other - 1]] = [other - 1, one - 1];
  return places;
};

export const SWAP_CARDS: Rule<SwapCards> = {
  shape: { one: PLACE, other: OTHER },
  written: {
    usage: 'exchange 3 20',
    says: 'the cards at two places exchanged',
    pattern: /^exchange (\d+)(?: and)? (\d+)$/,
    parse: ([one, other]) =>
      Number(one) >= 1 && Number(other) >= 1 && Number(one) !== Number(other)
        ? { kind: 'swap cards', one: Number(one), other: Number(other) }
        : undefined,
  },
  ...arranging(arrangeSwap),
  // It undoes itself.
  invert: (move) => move,
  describe: ({ one, other }) => `Exchange the card at ${one} with the card at ${other}.`,
};
