import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { Order, placeOf } from '../deck/order';
import { offsetOf } from '../deck/offset';

/** What two orders have in common. */
export interface Comparison {
  /** How far the second is turned against the first, when it is the same order turned. */
  readonly offset: number | undefined;
  /** Places from 1 at which both have the same card. */
  readonly samePlaces: readonly number[];
  /** Cards that are followed by the same card in both, as the pack is cut anywhere. */
  readonly sameNeighbours: readonly Card[];
  /** The most cards in a row that stand in the same row in both, as they are cut anywhere. */
  readonly longestRun: readonly Card[];
  readonly onlyInFirst: readonly Card[];
  readonly onlyInSecond: readonly Card[];
}

const next = (order: Order, card: Card): Card | undefined => {
  const place = placeOf(order, card);
  return place === undefined ? undefined : order[place % order.length];
};

const longestShared = (a: Order, shared: ReadonlySet<Card>): Card[] => {
  let best: Card[] = [];
  a.forEach((card, index) => {
    if (shared.has(a[mod(index - 1, a.length)]) && shared.size < a.length) return;
    const run = [card];
    while (run.length < a.length && shared.has(run[run.length - 1]))
      run.push(a[(index + run.length) % a.length]);
    if (run.length > best.length) best = run;
  });
  return best.length > 1 ? best : [];
};

/** Holds one order against another. */
export const compareOrders = (a: Order, b: Order): Comparison => {
  const sameNeighbours = a.filter((card) => {
    const follower = next(a, card);
    return a.length > 1 && follower !== undefined && next(b, card) === follower;
  });
  return {
    offset: offsetOf(a, b),
    samePlaces: a.flatMap((card, index) => (b[index] === card ? [index + 1] : [])),
    sameNeighbours,
    longestRun: longestShared(a, new Set(sameNeighbours)),
    onlyInFirst: a.filter((card) => !b.includes(card)),
    onlyInSecond: b.filter((card) => !a.includes(card)),
  };
};
