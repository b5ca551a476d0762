import { colourOf, LARGEST_PACK, rankOf, suitOf } from '../deck/card';
import { Order } from '../deck/order';
import { FLAG, optional, Part, shape, ShapeOf, whole } from '../deck/shape';

/** What neighbours must not be, taken round the pack so that it holds for every cut. */
export interface Conditions {
  readonly ranksApart: boolean;
  readonly suitsApart: boolean;
  /** The longest run of one colour that is allowed, 1 or more; undefined for any. */
  readonly colourRun: number | undefined;
}

/** How many of the conditions are broken by the run that begins at an index. */
export const faultsAt = (
  order: Order,
  index: number,
  { ranksApart, suitsApart, colourRun }: Conditions,
): number => {
  const size = order.length;
  const [card, next] = [order[index], order[(index + 1) % size]];
  let violations = 0;
  if (ranksApart && rankOf(card) !== undefined && rankOf(card) === rankOf(next)) violations++;
  if (suitsApart && suitOf(card) !== undefined && suitOf(card) === suitOf(next)) violations++;
  if (colourRun !== undefined && colourRun < size) {
    const colour = colourOf(card);
    let run = 1;
    while (run <= colourRun && colour !== undefined && colourOf(order[(index + run) % size]) === colour)
      run++;
    if (run > colourRun) violations++;
  }
  return violations;
};

/** How often an order breaks the conditions, taken round; 0 when it keeps them. */
export const violations = (order: Order, conditions: Conditions): number =>
  order.reduce((sum, _, index) => sum + faultsAt(order, index, conditions), 0);

const SHAPE: ShapeOf<Conditions> = {
  ranksApart: FLAG,
  suitsApart: FLAG,
  colourRun: optional(whole(1, LARGEST_PACK)),
};

/** Conditions that are stored or stand in a file. */
export const CONDITIONS: Part = shape(SHAPE);
