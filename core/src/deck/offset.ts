import { Card } from './card';
import { mod } from './mod';
import { Order, placeOf } from './order';

/**
 * How far a pack is turned, told by its face card: the face card's stack number, 0 when that is N.
 *
 * @param home the home order.
 * @param faceCard the card seen at the face.
 * @returns 0 to N − 1, or undefined when the card is not in the home order.
 */
export const offsetFromFace = (home: Order, faceCard: Card): number | undefined => {
  const stackNumber = placeOf(home, faceCard);
  return stackNumber === undefined ? undefined : mod(stackNumber, home.length);
};

/** How far a pack is turned, told by its top card: one less than its stack number. */
export const offsetFromTop = (home: Order, topCard: Card): number | undefined => {
  const stackNumber = placeOf(home, topCard);
  return stackNumber === undefined ? undefined : stackNumber - 1;
};

/**
 * How far `now` is turned from `home`.
 *
 * @returns 0 to N − 1, or undefined when `now` is not a turn of `home` (it was shuffled, or cards differ).
 */
export const offsetOf = (home: Order, now: Order): number | undefined => {
  if (home.length !== now.length || now.length === 0) return undefined;
  const offset = offsetFromTop(home, now[0]);
  if (offset === undefined) return undefined;
  return now.every((card, index) => card === home[mod(index + offset, home.length)]) ? offset : undefined;
};

/**
 * The place of the card with a stack number, in a pack turned by `offset`: ((s − t − 1) mod N) + 1.
 *
 * @param stackNumber 1 to N. @param offset 0 to N − 1. @param size N.
 * @returns a place from 1 (top) to N (face).
 */
export const placeAfter = (stackNumber: number, offset: number, size: number): number =>
  mod(stackNumber - offset - 1, size) + 1;

/** The stack number of the card at `place` (1 to N), in a pack turned by `offset`: ((p + t − 1) mod N) + 1. */
export const stackNumberAt = (place: number, offset: number, size: number): number =>
  mod(place + offset - 1, size) + 1;

/** A place counted from the face instead of from the top, both from 1. It is its own inverse. */
export const fromFace = (place: number, size: number): number => size + 1 - place;

/** How many cards must go from top to bottom for the card at `place` to lie at `number`: (p − n) mod N. */
export const cutBetween = (place: number, number: number, size: number): number => mod(place - number, size);

/**
 * How many cards must go from top to bottom to bring a card to a number.
 *
 * @param stackNumber the card's place in the home order, 1 to N.
 * @param number where it is wanted, 1 to N.
 * @param offset how far the pack is turned now, 0 to N − 1.
 * @returns 0 to N − 1.
 */
export const cutFor = (stackNumber: number, number: number, offset: number, size: number): number =>
  cutBetween(placeAfter(stackNumber, offset, size), number, size);

/**
 * The places after which the home order does not go on: place p is listed when the card at p + 1 is not the
 * one that follows in the home order, taken round its end. A turned pack has none.
 */
export const breaksIn = (home: Order, now: Order): number[] => {
  const stackNumbers = now.map((card) => placeOf(home, card) ?? 0);
  return stackNumbers
    .slice(0, -1)
    .flatMap((stackNumber, index) =>
      stackNumbers[index + 1] === mod(stackNumber, home.length) + 1 ? [] : [index + 1],
    );
};

/**
 * The place after which the home order begins again: 0 when its first card is on top, up to N − 1. Undefined
 * when the pack is not a turn of the home order.
 */
export const seamOf = (home: Order, now: Order): number | undefined => {
  const offset = offsetOf(home, now);
  return offset === undefined ? undefined : mod(-offset, home.length);
};

/** How many cards must go from top to bottom for the seam to lie after `to` cards instead of `from`: 0 to N − 1. */
export const cutForSeam = (from: number, to: number, size: number): number => mod(from - to, size);
