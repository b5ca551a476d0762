import { mateOf } from '../deck/card';
import { Order, placeOf } from '../deck/order';
import { WeaveKind } from '../moves/weave';
import { wovenIndices } from './wovenIndices';

/** What one weave, done again and again, does to a pack. */
export interface WeaveCycles {
  /** The ways round: each place is followed by the one where its card goes; the smallest place first. */
  readonly cycles: readonly (readonly number[])[];
  /** Places whose card stays. */
  readonly fixed: readonly number[];
  /** After so many weaves the pack is as it was. */
  readonly back: number;
}

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
const multiple = (a: number, b: number): number => (a / divisor(a, b)) * b;

/**
 * The cycles of a perfect weave of the whole pack.
 *
 * @param size cards in the pack, 1 or more.
 */
export const weaveCycles = (size: number, weave: WeaveKind): WeaveCycles => {
  const woven = wovenIndices(size, weave);
  const seen = new Set<number>();
  const cycles: number[][] = [];
  for (let first = 1; first <= size; first++) {
    const cycle: number[] = [];
    for (let place = first; !seen.has(place);) {
      seen.add(place);
      cycle.push(place);
      place = woven[place - 1] + 1;
    }
    if (cycle.length > 0) cycles.push(cycle);
  }
  return {
    cycles,
    fixed: cycles.flatMap((cycle) => (cycle.length === 1 ? cycle : [])),
    back: cycles.reduce((all, { length }) => multiple(all, length), 1),
  };
};

/** How many pairs of mates lie as far from the top as from the face. */
export const mirroredMates = (order: Order): number =>
  order.filter((card, index) => placeOf(order, mateOf(card)) === order.length - index).length / 2;
