import { Card, colourOf, LARGEST_PACK, rankOf, suitOf } from '../deck/card';
import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { Outcome } from '../deck/problem';
import { below, Rng, shuffled } from '../deck/rng';
import { FLAG, optional, Part, shape, ShapeOf, whole } from '../deck/shape';

/** What neighbours must not be, taken round the pack so that it holds for every cut. */
export interface Conditions {
  readonly ranksApart: boolean;
  readonly suitsApart: boolean;
  /** The longest run of one colour that is allowed, 1 or more; undefined for any. */
  readonly colourRun: number | undefined;
}

/** How many of the conditions are broken by the run that begins at an index. */
const faultsAt = (order: Order, index: number, { ranksApart, suitsApart, colourRun }: Conditions): number => {
  const size = order.length;
  const [card, next] = [order[index], order[(index + 1) % size]];
  let faults = 0;
  if (ranksApart && rankOf(card) !== undefined && rankOf(card) === rankOf(next)) faults++;
  if (suitsApart && suitOf(card) !== undefined && suitOf(card) === suitOf(next)) faults++;
  if (colourRun !== undefined && colourRun < size) {
    const colour = colourOf(card);
    let run = 1;
    while (run <= colourRun && colour !== undefined && colourOf(order[(index + run) % size]) === colour)
      run++;
    if (run > colourRun) faults++;
  }
  return faults;
};

/** How often an order breaks the conditions, taken round; 0 when it keeps them. */
export const faults = (order: Order, conditions: Conditions): number =>
  order.reduce((sum, _, index) => sum + faultsAt(order, index, conditions), 0);

const faultsNear = (order: Order, indices: readonly number[], conditions: Conditions): number => {
  const reach = (conditions.colourRun ?? 1) + 1;
  const near = new Set(
    indices.flatMap((index) =>
      Array.from({ length: reach + 1 }, (_, back) => mod(index - back, order.length)),
    ),
  );
  return [...near].reduce((sum, index) => sum + faultsAt(order, index, conditions), 0);
};

/** How many exchanges are tried before the conditions are given up. */
const TRIES = 60_000;

/**
 * A pack at random that keeps the conditions: a shuffle, then exchanges of a card at fault with any other
 * wherever that breaks no more than before. The same source of randomness gives the same order.
 *
 * @returns the order, or that none was found.
 */
export const randomOrder = (
  pack: readonly Card[],
  conditions: Conditions,
  rng: Rng,
): Outcome<{ order: Order }> => {
  const order = shuffled(pack, rng);
  for (let round = 0; round < TRIES; round++) {
    const at = order.findIndex((_, index) => faultsAt(order, index, conditions) > 0);
    if (at < 0) return { ok: true, order };
    const one = mod(at + below(rng, 2), order.length);
    const other = below(rng, order.length);
    const before = faultsNear(order, [one, other], conditions);
    [order[one], order[other]] = [order[other], order[one]];
    if (faultsNear(order, [one, other], conditions) > before)
      [order[one], order[other]] = [order[other], order[one]];
  }
  return {
    ok: false,
    problems: [
      { what: 'No order was found that keeps all of this.', remedy: 'Ask for less, or for another seed.' },
    ],
  };
};

const SHAPE: ShapeOf<Conditions> = {
  ranksApart: FLAG,
  suitsApart: FLAG,
  colourRun: optional(whole(1, LARGEST_PACK)),
};

/** Conditions that are stored or stand in a file. */
export const CONDITIONS: Part = shape(SHAPE);
