import fc from 'fast-check';
import { Order } from '../deck/order';
import { cut } from './cut';
import { deal } from './deal';
import { applyMove, describeMove, invertMove, Move, placeAfterMove } from './move';

const anyPack: fc.Arbitrary<Order> = fc
  .integer({ min: 1, max: 54 })
  .chain((size) => fc.shuffledSubarray([...Array(54).keys()], { minLength: size, maxLength: size }));

/** Add the arbitrary of a new kind of move here, and every property below holds for it or fails. */
const moveFor = (size: number): fc.Arbitrary<Move> =>
  fc.record({ kind: fc.constantFrom('cut', 'deal'), count: fc.integer({ min: 0, max: size }) });

const packAndMove = anyPack.chain((order) => fc.tuple(fc.constant(order), moveFor(order.length)));

test('a move keeps every card, and leaves the order that it was given', () => {
  fc.assert(
    fc.property(packAndMove, ([order, move]) => {
      const before = [...order];
      const after = applyMove(order, move);
      expect([...after].sort()).toEqual([...order].sort());
      expect(order).toEqual(before);
    }),
  );
});

test('the inverse brings every order back', () => {
  fc.assert(
    fc.property(packAndMove, ([order, move]) => {
      expect(applyMove(applyMove(order, move), invertMove(move, order.length))).toEqual(order);
    }),
  );
});

test('the place map agrees with the move', () => {
  fc.assert(
    fc.property(packAndMove, ([order, move]) => {
      const after = applyMove(order, move);
      order.forEach((card, index) => {
        expect(after[placeAfterMove(move, index + 1, order.length) - 1]).toBe(card);
      });
    }),
  );
});

test('moves survive being stored', () => {
  fc.assert(
    fc.property(packAndMove, ([order, move]) => {
      expect(applyMove(order, JSON.parse(JSON.stringify(move)) as Move)).toEqual(applyMove(order, move));
    }),
  );
});

test('a cut by hand, a deal by hand', () => {
  expect(cut([1, 2, 3, 4, 5], 2)).toEqual([3, 4, 5, 1, 2]);
  expect(cut([1, 2, 3], 3)).toEqual([1, 2, 3]);
  expect(deal([1, 2, 3, 4, 5], 3)).toEqual([3, 2, 1, 4, 5]);
  expect(deal([1, 2], 9)).toEqual([2, 1]);
  expect(cut([], 1)).toEqual([]);
});

test('cuts add up', () => {
  fc.assert(
    fc.property(anyPack, fc.nat(54), fc.nat(54), (order, a, b) => {
      expect(cut(cut(order, a), b)).toEqual(cut(order, a + b));
    }),
  );
});

test('every move is told in one sentence', () => {
  expect(describeMove({ kind: 'cut', count: 1 })).toBe('Cut 1 card from the top to the bottom.');
  expect(describeMove({ kind: 'cut', count: 0 })).toBe('Leave the pack as it is.');
  expect(describeMove({ kind: 'deal', count: 9 })).toBe(
    'Deal 9 cards singly into a heap and drop the heap back on top.',
  );
});
