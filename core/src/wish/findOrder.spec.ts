import vectors from '../../test/vectors/wish.json';
import { checkWish } from './checkWish';
import { FULL } from '../../test/randomWish';
import { plantedList } from '../../test/plantedList';
import { topProcedure } from '../../test/topProcedure';
import { FIND_ORDER, FindProgress, findOrder } from './findOrder';
import { Wish, WishList } from './wish';

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
        if (wish !== found.conflict[index])
          expect(checkWish(order ?? [], list.wishes[wish]).holds).toBe(true);
    });
    return;
  }
  if (found.end !== 'found') throw new Error(found.end);
  expect([...found.order].sort()).toEqual([...list.pack].sort());
  if (list.fewestChanges !== undefined)
    expect(found).toMatchObject({ changes: list.fewestChanges, fewest: true });
  if (list.leastLost !== undefined) expect(found.lost).toBe(list.leastLost);
});

const planted = Array.from({ length: 24 }, (_, seed) => seed);

test.each(planted)('planted list %d: what holds in a hidden order is found', (seed) => {
  const list = plantedList(seed);
  const found = findOrder(list);
  if (found.end !== 'found') throw new Error(found.end);
  expect([...found.order].sort()).toEqual([...list.pack].sort());
  expect(list.wishes.every((wish) => checkWish(found.order, wish).holds)).toBe(true);
});

const COUNT: Wish = {
  kind: 'at cuts',
  cuts: { from: 10, to: 18 },
  wish: { kind: 'ranks add up', places: [1, 2], makes: 'cut' },
};

test('three cards that the count and the mates do not let lie: those three, proved, with an order for each given up', () => {
  const wishes: readonly Wish[] = [
    COUNT,
    { kind: 'cards at', cards: ['QH'], places: [9] },
    { kind: 'mates apart', distance: 26, round: true },
    { kind: 'runs', of: 'colour', most: 3, round: true },
    { kind: 'looks shuffled', most: 75 },
    { kind: 'cards at', cards: ['AS', '7H', '4C'], places: [3, 20, 41] },
  ];
  const found = findOrder({ pack: FULL, wishes });
  if (found.end !== 'conflict') throw new Error(found.end);
  expect(found).toMatchObject({ conflict: [0, 2, 5], smallest: true, how: 'counted' });
  expect(found.why).toMatch(/^Wishes 3 and 6 put .+ at \d+.*, which wish 1 does not let lie so\.$/);
  found.without.forEach((order, given) => {
    // The orders offered hold all other wishes of the list, too.
    const others = wishes.filter((_, index) => index !== found.conflict[given]);
    expect(others.every((wish) => checkWish(order ?? [], wish).holds)).toBe(true);
  });
});

test('mates 20 apart in a pack of 52: counted, and why', () => {
  const found = findOrder({ pack: FULL, wishes: [{ kind: 'mates apart', distance: 20, round: true }] });
  expect(found).toMatchObject({ end: 'conflict', conflict: [0], how: 'counted' });
  expect(found.end === 'conflict' ? found.why : '').toContain('13 places');
});

test('a card that the pack does not have: why it cannot lie there', () => {
  const pack = FULL.slice(0, 8);
  const found = findOrder({ pack, wishes: [{ kind: 'cards at', cards: ['KS'], places: [3] }] });
  expect(found).toMatchObject({
    end: 'conflict',
    conflict: [0],
    why: 'The pack has no card that may lie at 3.',
  });
});

test('stopped anywhere and gone on with, it finds the same; the best so far is told on the way', () => {
  const list: WishList = {
    pack: FULL,
    wishes: [
      { kind: 'tells', next: 6, by: 'colour' },
      { kind: 'neighbours', relation: 'other suit', round: true },
    ],
  };
  const job = FIND_ORDER.start({ list, seed: 3 });
  const told: FindProgress[] = [];
  let step = job.next();
  for (; !step.done; step = job.next()) told.push(step.value);
  expect(step.value).toEqual(findOrder(list, { seed: 3 }));
  expect(told.length).toBeGreaterThan(0);
  for (const { share, best, asked } of told) {
    expect(share).toBeGreaterThan(0);
    expect(share).toBeLessThanOrEqual(1);
    expect([...best.order].sort()).toEqual([...FULL].sort());
    expect(best.broken).toBe(list.wishes.filter((wish) => !checkWish(best.order, wish).holds).length);
    expect(asked).toBe(2);
  }
});

test('a budget that is too small ends without a claim', () => {
  const list: WishList = {
    pack: FULL,
    wishes: [{ kind: 'tells', next: 3, by: 'suit' }, { kind: 'colours alternate' }],
  };
  const found = findOrder(list, { budget: 10_000 });
  expect(found.end).toBe('not found');
});

test('a procedure is met, and never called impossible', () => {
  const pack = FULL.slice(0, 20);
  const some = findOrder({
    pack,
    wishes: [
      { kind: 'procedure', ...topProcedure(pack, 2) },
      { kind: 'cards at', cards: ['AC'], places: [1] },
    ],
  });
  if (some.end !== 'found') throw new Error(some.end);
  expect(some.checks.every(({ holds }) => holds)).toBe(true);
  // They cut one to three: three red cards would be needed there, and the pack has none.
  const blacks = FULL.filter((card) => 'CS'.includes(card[1])).slice(0, 12);
  const none = findOrder(
    { pack: blacks, wishes: [{ kind: 'procedure', ...topProcedure(blacks, 2) }] },
    { budget: 300_000 },
  );
  expect(none.end).toBe('not found');
});

test('60 cards with jokers, second copies and indifferent cards', () => {
  const pack = [...FULL, 'X1', 'X2', '7D*', '7H*', '-', '-', '-', '-'];
  const wishes: readonly Wish[] = [
    { kind: 'neighbours', relation: 'other suit', round: true },
    { kind: 'mates apart', distance: 5, round: true },
    { kind: 'hand', players: 4, cards: 5, player: 2, is: 'straight flush' },
  ];
  const found = findOrder({ pack, wishes });
  if (found.end !== 'found') throw new Error(found.end);
  expect([...found.order].sort()).toEqual([...pack].sort());
  expect(wishes.every((wish) => checkWish(found.order, wish).holds)).toBe(true);
});
