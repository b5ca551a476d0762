import vectors from '../../test/vectors/wish.json';
import { checkWish } from './checkWish';
import { findOrder } from './findOrder';
import { WishList } from './wish';

interface Told {
  readonly orders: number;
  readonly conflicts: readonly (readonly number[])[];
  readonly fewestChanges?: number;
  readonly leastLost?: number;
}
const lists = vectors.lists as unknown as readonly (WishList & Told)[];

test.each(lists.map((list, index) => [index, list] as const))('worked list %d', (_, list) => {
  const found = findOrder(list);
  if (list.conflicts.length > 0) {
    if (found.end !== 'conflict') throw new Error(found.end);
    expect(list.conflicts).toContainEqual([...found.conflict].sort((a, b) => a - b));
    expect(found.smallest).toBe(true);
    found.without.forEach((order, index) => {
      for (const wish of found.conflict)
        if (wish !== found.conflict[index]) expect(checkWish(order ?? [], list.wishes[wish]).holds).toBe(true);
    });
    return;
  }
  if (found.end !== 'found') throw new Error(found.end);
  expect([...found.order].sort()).toEqual([...list.pack].sort());
  if (list.fewestChanges !== undefined) expect(found).toMatchObject({ changes: list.fewestChanges, fewest: true });
  if (list.leastLost !== undefined) expect(found.lost).toBe(list.leastLost);
});
