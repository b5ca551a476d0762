import { Order } from '../deck/order';
import { weave, WeaveKind } from '../moves/weave';

/**
 * Where a perfect weave takes every card: by its index before, from 0, its index after.
 *
 * @param size cards in the pack, 1 or more.
 */
export const wovenIndices = (size: number, kind: WeaveKind): readonly number[] => {
  const home: Order = Array.from({ length: size }, (_, index) => index);
  const after = new Array<number>(size);
  weave(home, kind).forEach((before, index) => (after[before] = index));
  return after;
};
