import { cardNamed } from '../procedure/laid';
import { INDIFFERENT } from '../procedure/packets';
import { WishCase } from './cases';
import { Laid } from './look';
import { Wish } from './wish';
import { kindOfWish } from './wishes';

/** Whether an order does what is wished, by its cases. */
export interface WishCheck {
  /** Whether none is broken; so also where there are none. */
  readonly holds: boolean;
  readonly broken: number;
  readonly of: number;
  readonly cases: readonly WishCase[];
}

/** The cards of an order as they are written; what is no card is an indifferent one. */
export const laidOf = (order: readonly string[]): Laid => order.map((card) => cardNamed(card) ?? INDIFFERENT);

const casesOf = (laid: Laid, wish: Wish, cut: number): readonly WishCase[] =>
  kindOfWish(wish).cases(laid, wish, { cut, judge: casesOf });

/** The cases of a wish, for cards from the top to the face. */
export const checkLaid = (laid: Laid, wish: Wish): WishCheck => {
  const cases = casesOf(laid, wish, 0);
  const broken = cases.filter(({ ok }) => !ok).length;
  return { holds: broken === 0, broken, of: cases.length, cases };
};

/**
 * Judges an order by a wish, from its words alone: nothing of it is used to find one.
 *
 * @param order cards as they are written (`7D`, `X1`, `7D*`, `-`), the top card first.
 */
export const checkWish = (order: readonly string[], wish: Wish): WishCheck => checkLaid(laidOf(order), wish);
