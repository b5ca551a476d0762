import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { Order, placeOf } from '../deck/order';
import { applyMove, Move } from '../moves/move';

/** Two cards between which the sequence breaks, with their places after the row. */
export interface Break {
  readonly before: Card;
  readonly after: Card;
  readonly beforeAt: number;
  readonly afterAt: number;
}

/** What a row makes of a pack that lacks a card, or has one more. */
export interface WrongCount {
  readonly order: Order;
  readonly break: Break;
  /** How many cards lie elsewhere than they would in the pack as it should be. */
  readonly elsewhere: number;
}

const done = (order: Order, row: readonly Move[]): Order => row.reduce(applyMove, order);

/** How many cards lie at other places of two packs. */
const elsewhere = (order: Order, whole: Order): number =>
  order.filter((card, index) => whole.includes(card) && whole[index] !== card).length;

/** A row done to a pack of another count, beside the same done to the whole sequence. */
const wrongCount = (
  pack: Order,
  home: Order,
  [before, after]: readonly [before: Card, after: Card],
  row: readonly Move[],
): WrongCount => {
  const order = done(pack, row);
  return {
    order,
    break: {
      ...{ before, after },
      ...{ beforeAt: placeOf(order, before) ?? 0, afterAt: placeOf(order, after) ?? 0 },
    },
    elsewhere: elsewhere(order, done(home, row)),
  };
};

/** A card's neighbours in the sequence, once round it. */
const neighbours = (home: Order, card: Card): readonly [before: Card, after: Card] => {
  const index = home.indexOf(card);
  return [home[(index + home.length - 1) % home.length], home[(index + 1) % home.length]];
};

/**
 * A row done to a pack in sequence from which one card was taken: the cards that were its neighbours show where.
 *
 * @param home the sequence, of three cards or more. @returns undefined where the card is not in it.
 */
export const withoutCard = (home: Order, card: Card, row: readonly Move[]): WrongCount | undefined => {
  if (!home.includes(card) || home.length < 3) return undefined;
  const pack = home.filter((each) => each !== card);
  return wrongCount(pack, home, neighbours(home, card), row);
};

/** The same with another card, a joker, put in the place of the one that is missing. */
export const withStandIn = (
  home: Order,
  card: Card,
  standIn: Card,
  row: readonly Move[],
): WrongCount | undefined => {
  if (!home.includes(card) || home.includes(standIn)) return undefined;
  const pack = home.map((each) => (each === card ? standIn : each));
  return wrongCount(pack, home, neighbours(home, card), row);
};

/**
 * The same with a card too many, put into the sequence behind so many cards.
 *
 * @param behind 0 to as many cards as the sequence has.
 */
export const withExtraCard = (
  home: Order,
  extra: Card,
  behind: number,
  row: readonly Move[],
): WrongCount | undefined => {
  if (home.includes(extra) || home.length < 2) return undefined;
  const between = [home[(behind + home.length - 1) % home.length], home[behind % home.length]] as const;
  return wrongCount([...home.slice(0, behind), extra, ...home.slice(behind)], home, between, row);
};

/**
 * The card that a break names: the one that the sequence has between two that should be neighbours.
 *
 * @returns undefined where the two are not two apart in the sequence.
 */
export const namedByBreak = (home: Order, before: Card, after: Card): Card | undefined => {
  const index = home.indexOf(before);
  if (index < 0 || home.length < 3) return undefined;
  return home[(index + 2) % home.length] === after ? home[(index + 1) % home.length] : undefined;
};

/**
 * How far apart cards lie after a row that were neighbours before it, going on from the first of them, the face card's
 * neighbour being the top card. In an odd pack weaves leave all neighbours as far apart: that is where to look for a break.
 *
 * @returns by the place before the row, from index 0: 1 to size − 1.
 */
export const distancesAfter = (size: number, row: readonly Move[]): readonly number[] => {
  const places = Array.from({ length: size }, (_, index) => index);
  const at = new Map(done(places, row).map((place, index) => [place, index]));
  return places.map((place) => mod((at.get((place + 1) % size) ?? 0) - (at.get(place) ?? 0), size));
};
