import fc from 'fast-check';
import { numberOrder } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { applyMove, Move } from '../moves/move';
import { arrangementBefore, inverseMoves, orderByRecipe, recipeSteps, sizeBefore } from './recipe';
import { sortingHeap, sortingPass, sortingPlan } from './sorting';
import { measureSpread, SPREAD_MEASURES, spreadCounter, spreadPercentile } from './spread';

const anyMoves: fc.Arbitrary<Move[]> = fc.array(
  fc.oneof(
    fc.record({ kind: fc.constant('cut'), count: fc.nat(52) }),
    fc.record({ kind: fc.constant('deal'), count: fc.nat(52) }),
    fc.record({ kind: fc.constant('weave'), weave: fc.constantFrom('in', 'out') }),
    fc.constant<Move>({ kind: 'reverse packet', from: 5, to: 30 }),
  ),
  { maxLength: 8 },
);
const anyOrder = fc.integer().map((seed) => shuffled(numberOrder(), seededRng(seed)));

test('a recipe shows each step, and the arrangement before it becomes the order wanted', () => {
  fc.assert(
    fc.property(anyOrder, anyMoves, (order, moves) => {
      const steps = recipeSteps({ base: order, moves });
      expect(steps).toHaveLength(moves.length + 1);
      expect(steps[moves.length]).toEqual(orderByRecipe({ base: order, moves }));
      const base = arrangementBefore(moves, order) ?? [];
      expect(orderByRecipe({ base, moves })).toEqual(order);
    }),
  );
  expect(inverseMoves([{ kind: 'riffle', seed: 1 }], 52)).toBeUndefined();
  expect(arrangementBefore([{ kind: 'riffle', seed: 1 }], numberOrder())).toBeUndefined();
});

test('dealing into heaps sorts every pack in the passes that the plan says', () => {
  fc.assert(
    fc.property(
      anyOrder,
      anyOrder,
      fc.integer({ min: 2, max: 13 }),
      fc.integer({ min: 1, max: 52 }),
      (home, pack, heaps, size) => {
        const wanted = home.slice(0, size);
        let now = pack.filter((card) => wanted.includes(card));
        const { passes, handled } = sortingPlan(size, heaps);
        for (let pass = 1; pass <= passes; pass++) now = [...sortingPass(wanted, now, heaps, pass)];
        expect(now).toEqual(wanted);
        expect(handled).toBe(passes * size);
      },
    ),
  );
  expect([8, 4, 13, 2].map((heaps) => sortingPlan(52, heaps).passes)).toEqual([2, 3, 2, 6]);
  expect(sortingHeap(numberOrder(), 9, 8, 1)).toBe(2);
  expect(sortingHeap(numberOrder(), 53, 8, 1)).toBeUndefined();
});

test('what a spread shows, by hand', () => {
  expect(measureSpread(numberOrder())).toEqual({ colourRun: 26, suitRun: 13, likeRanks: 0, sequences: 51 });
  expect(measureSpread([0, 13, 26, 39])).toEqual({ colourRun: 2, suitRun: 1, likeRanks: 3, sequences: 0 });
  expect(measureSpread([0, 52, 1])).toEqual({ colourRun: 1, suitRun: 1, likeRanks: 0, sequences: 0 });
});

test('shuffled packs show what probability says they should', () => {
  const counter = spreadCounter(numberOrder(), seededRng(11));
  counter.run(15_000);
  counter.run(5_000);
  const { packs, counts } = counter.read();
  expect(packs).toBe(20_000);
  const mean = (row: readonly number[]): number =>
    row.reduce((sum, count, value) => sum + count * value, 0) / packs;
  // Of 51 neighbours each is of like rank with chance 3/51, and next in rank with chance 8/51.
  expect(Math.abs(mean(counts.likeRanks) - 3)).toBeLessThan(0.05);
  expect(Math.abs(mean(counts.sequences) - 8)).toBeLessThan(0.08);
  for (const measure of SPREAD_MEASURES)
    expect(counts[measure].reduce((sum, count) => sum + count)).toBe(packs);
});

test('percentiles go from 0 to 100 and put the usual in the middle', () => {
  const counter = spreadCounter(numberOrder(), seededRng(5));
  counter.run(5000);
  const counts = counter.read();
  expect(spreadPercentile(counts, 'sequences', 51)).toBeGreaterThan(99.9);
  expect(spreadPercentile(counts, 'likeRanks', 0)).toBeLessThan(10);
  expect(Math.abs(spreadPercentile(counts, 'likeRanks', 3) - 54)).toBeLessThan(6);
  expect(spreadPercentile({ packs: 0, counts: counts.counts }, 'suitRun', 3)).toBe(50);
});

test('moves that change the size of the pack are taken back at the size that each of them met', () => {
  const row: Move[] = [
    { kind: 'cut', count: 1 },
    { kind: 'take', place: 1, card: 1 },
  ];
  expect(arrangementBefore(row, [2, 3, 0])).toEqual([0, 1, 2, 3]);
  // Every place, every cut before and after, a card out and another one in.
  for (let size = 2; size <= 7; size++)
    for (let place = 1; place <= size; place++)
      for (let count = 0; count < size; count++) {
        const start = [...Array(size).keys()];
        const cutFirst = applyMove(start, { kind: 'cut', count });
        const moves: Move[] = [
          { kind: 'cut', count },
          { kind: 'take', place, card: cutFirst[place - 1] },
          { kind: 'weave', weave: 'in' },
          { kind: 'put', place: Math.min(place, size), card: 60 },
          { kind: 'cut', count: size - 1 },
        ];
        const end = moves.reduce(applyMove, start);
        expect(sizeBefore(moves, end.length)).toBe(size);
        expect(arrangementBefore(moves, end)).toEqual(start);
      }
});

test('sorting into one heap never ends, and is said not to', () => {
  expect(sortingPlan(52, 1)).toEqual({ heaps: 1, passes: Infinity, handled: Infinity });
});
