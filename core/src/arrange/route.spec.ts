import fc from 'fast-check';
import { numberOrder, Order, sameOrder } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { applyMove, Move } from '../moves/move';
import { findRoute, searchRoute } from './route';

const isCut = ({ kind }: Move): boolean => kind === 'cut';
const weights = (moves: readonly Move[]): number => moves.filter((move) => !isCut(move)).length;

const anyStep = (size: number): fc.Arbitrary<readonly Move[]> =>
  fc.tuple(
    fc.record({ kind: fc.constant('cut' as const), count: fc.integer({ min: 0, max: size - 1 }) }),
    fc.constantFrom<Move>(
      { kind: 'weave', weave: 'out' },
      { kind: 'weave', weave: 'in' },
      { kind: 'unweave', weave: 'in' },
      { kind: 'reverse packet', from: 1, to: size },
    ),
  );

test('a row of up to two weaves with cuts is found again, or a shorter one, and ends where it should', () => {
  fc.assert(
    fc.property(fc.array(anyStep(52), { maxLength: 2 }), fc.integer(), (steps, seed) => {
      const from = shuffled(numberOrder(), seededRng(seed));
      const to = steps.flat().reduce(applyMove, from);
      const route = findRoute(from, to, 2);
      expect(route && sameOrder(route.reduce(applyMove, from), to)).toBe(true);
      expect(weights(route ?? [])).toBeLessThanOrEqual(steps.length);
    }),
    { numRuns: 8 },
  );
});

test('three and four weaves of a small pack: the route has no more, and is as short as breadth first', () => {
  const size = 8;
  const home = Array.from({ length: size }, (_, index) => index);
  const distances = breadthFirst(home, size, 4);
  fc.assert(
    fc.property(fc.array(anyStep(size), { minLength: 3, maxLength: 4 }), (steps) => {
      const to = steps.flat().reduce(applyMove, home);
      const route = findRoute(home, to, 4);
      expect(route && sameOrder(route.reduce(applyMove, home), to)).toBe(true);
      expect(weights(route ?? [])).toBe(distances.get(turnedKey(to)));
    }),
    { numRuns: 40 },
  );
});

/** The order turned so that card 0 is on top, as text. */
const turnedKey = (order: Order): string => {
  const at = order.indexOf(0);
  return [...order.slice(at), ...order.slice(0, at)].join(',');
};

/** The fewest weaves, reverse weaves and whole reversals to each order, by trying everything. */
const breadthFirst = (home: Order, size: number, depth: number): Map<string, number> => {
  const steps: Move[] = [
    { kind: 'weave', weave: 'out' },
    { kind: 'weave', weave: 'in' },
    { kind: 'unweave', weave: 'out' },
    { kind: 'unweave', weave: 'in' },
    { kind: 'reverse packet', from: 1, to: size },
  ];
  const distances = new Map([[turnedKey(home), 0]]);
  let layer = [home];
  for (let moves = 1; moves <= depth; moves++) {
    const grown: Order[] = [];
    for (const order of layer)
      for (let count = 0; count < size; count++)
        for (const step of steps) {
          const after = applyMove(applyMove(order, { kind: 'cut', count }), step);
          if (distances.has(turnedKey(after))) continue;
          distances.set(turnedKey(after), moves);
          grown.push(after);
        }
    layer = grown;
  }
  return distances;
};

test('it says how far it is, and that there is no short row', () => {
  const search = searchRoute(numberOrder(), shuffled(numberOrder(), seededRng(1)), 2);
  expect(search.next()).toEqual({ done: false, value: { moves: 1, part: 0 } });
  expect(findRoute(numberOrder(), shuffled(numberOrder(), seededRng(1)), 2)).toBeUndefined();
  expect(findRoute([1, 2, 3], [1, 2, 4])).toBeUndefined();
  expect(findRoute([1, 2, 3], [2, 3, 1])).toEqual([{ kind: 'cut', count: 1 }]);
});
