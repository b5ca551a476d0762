import fc from 'fast-check';
import { Order } from '../deck/order';
import { cut } from './cut';
import { deal } from './deal';
import { applyMove, describeMove, invertMove, Move, placeAfterMove } from './move';

const anyPack: fc.Arbitrary<Order> = fc
  .integer({ min: 1, max: 54 })
  .chain((size) => fc.shuffledSubarray([...Array(54).keys()], { minLength: size, maxLength: size }));

/** Add the arbitrary of a new kind of move here, and every property below holds for it or fails. */
const moveFor = (size: number): fc.Arbitrary<Move> => {
  const count = fc.integer({ min: 0, max: size });
  const place = fc.integer({ min: 1, max: size });
  const weave = fc.constantFrom('in', 'out');
  const top = fc.option(count, { nil: undefined });
  const packet = fc.tuple(place, place).map(([a, b]) => ({ from: Math.min(a, b), to: Math.max(a, b) }));
  const seed = fc.integer();
  const heaps = fc.integer({ min: 1, max: 10 }).chain((m) =>
    fc.shuffledSubarray(
      [...Array(m).keys()].map((heap) => heap + 1),
      { minLength: m },
    ),
  );
  return fc.oneof(
    fc.record({ kind: fc.constantFrom('cut', 'deal'), count }),
    fc.record({ kind: fc.constantFrom('weave', 'unweave'), weave, top }),
    fc.record({ kind: fc.constantFrom('weave packet', 'unweave packet'), weave, count }),
    packet.map((places): Move => ({ kind: 'reverse packet', ...places })),
    fc
      .tuple(packet, fc.boolean(), fc.double({ min: 0, max: 1, noNaN: true }))
      .map(([{ from, to }, reversed, where]): Move => {
        const outside = [
          ...Array(from).keys(),
          ...Array.from({ length: size - to + 1 }, (_, index) => to + index),
        ];
        return {
          kind: 'move packet',
          from,
          to,
          reversed,
          after: outside[Math.floor(where * (outside.length - 1))],
        };
      }),
    heaps.chain((gather) =>
      fc.record({
        kind: fc.constantFrom('deal heaps', 'undeal heaps'),
        heaps: fc.constant(gather.length),
        gather: fc.constant(gather),
      }),
    ),
    fc.record({ kind: fc.constant('riffle'), seed }),
    fc.record({ kind: fc.constant('overhand'), seed, chop: fc.double({ min: 0.01, max: 1, noNaN: true }) }),
  );
};

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
      const inverse = invertMove(move, order.length);
      expect(inverse === undefined).toBe(move.kind === 'riffle' || move.kind === 'overhand');
      if (inverse) expect(applyMove(applyMove(order, move), inverse)).toEqual(order);
    }),
  );
});

test('the place map agrees with the move', () => {
  fc.assert(
    fc.property(packAndMove, ([order, move]) => {
      const after = applyMove(order, move);
      order.forEach((card, index) => {
        expect(after[(placeAfterMove(move, index + 1, order.length) as number) - 1]).toBe(card);
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

test('a card taken out can be put back when it is known, and the places follow', () => {
  fc.assert(
    fc.property(anyPack, fc.nat(53), (order, at) => {
      const place = (at % order.length) + 1;
      const taken: Move = { kind: 'take', place, card: order[place - 1] };
      const after = applyMove(order, taken);
      expect(after).toHaveLength(order.length - 1);
      expect(applyMove(after, invertMove(taken, order.length) as Move)).toEqual(order);
      order.forEach((card, index) => {
        const to = placeAfterMove(taken, index + 1, order.length);
        expect(to === undefined ? card : after[to - 1]).toBe(card);
      });
      const back = invertMove(taken, order.length) as Move;
      after.forEach((card, index) => {
        expect(order[(placeAfterMove(back, index + 1, after.length) as number) - 1]).toBe(card);
      });
    }),
  );
  expect(invertMove({ kind: 'take', place: 3 }, 52)).toBeUndefined();
});
