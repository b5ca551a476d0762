import { Card, colourOf, rankOf } from '../deck/card';
import { Order, placeOf } from '../deck/order';

/** Two numbers whose digits are exchanged, such as 12 and 21; a single digit has a nought before it. */
export const digitsExchanged = (a: number, b: number): boolean =>
  a !== b && a < 100 && b < 100 && Math.floor(a / 10) === b % 10 && a % 10 === Math.floor(b / 10);

/**
 * Whether two cards of an order are easily taken for each other: neighbours, like ranks of one colour, or cards whose
 * numbers have their digits exchanged. Such two are not introduced within the same minute.
 */
export const confusable = (a: Card, b: Card, order: Order): boolean => {
  const [placeA, placeB] = [placeOf(order, a), placeOf(order, b)];
  if (a === b || placeA === undefined || placeB === undefined) return false;
  const apart = Math.abs(placeA - placeB);
  return (
    apart === 1 ||
    apart === order.length - 1 ||
    (rankOf(a) !== undefined && rankOf(a) === rankOf(b) && colourOf(a) === colourOf(b)) ||
    digitsExchanged(placeA, placeB)
  );
};
