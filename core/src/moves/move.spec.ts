import fc from 'fast-check';
import { Order } from '../deck/order';
import { cut } from './cut';
import { deal } from './deal';
import { applyMove, describeMove, invertMove, Move, parseMove, placeAfterMove } from './move';

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

test.each<[Move, string]>([
  [{ kind: 'cut', count: 1 }, 'Cut 1 card from the top to the bottom.'],
  [{ kind: 'cut', count: 0 }, 'Leave the pack as it is.'],
  [{ kind: 'deal', count: 9 }, 'Deal 9 cards singly into a heap and drop the heap back on top.'],
  [
    { kind: 'deal heaps', heaps: 3, gather: [2, 1, 3] },
    'Deal the pack round into 3 heaps and gather them with heap 2 on heap 1 on heap 3.',
  ],
  [
    { kind: 'undeal heaps', heaps: 2, gather: [2, 1] },
    'Take the pack apart from the top (heap 2, heap 1), then pick the heaps up card by card from heap 2, 1 ' +
      'and again, each card onto the one before, until all are gone.',
  ],
  [
    { kind: 'move packet', from: 5, to: 9, after: 30, reversed: true },
    'Lift the cards from 5 to 9, reverse their order and put them below the card now at 30.',
  ],
  [
    { kind: 'move packet', from: 5, to: 5, after: 0, reversed: true },
    'Lift the card at 5 and put it on top.',
  ],
  [
    { kind: 'reverse packet', from: 5, to: 20 },
    'Reverse the order of the cards from 5 to 20 where they lie.',
  ],
  [{ kind: 'weave', weave: 'out' }, 'Weave the pack perfectly; the top card stays on top (out).'],
  [
    { kind: 'weave', weave: 'in', top: 16 },
    'Weave the top 16 cards perfectly; the top card goes second (in).',
  ],
  [
    { kind: 'weave packet', weave: 'out', count: 10 },
    'Take the top 10 cards and weave them into the top of the rest, their first card on top.',
  ],
  [
    { kind: 'unweave packet', weave: 'in', count: 10 },
    'Jog out every other one of the top 20 cards (the second, fourth and so on), strip those out in one packet and put it on top.',
  ],
  [{ kind: 'riffle', seed: 1 }, 'Riffle the pack once.'],
  [{ kind: 'overhand', seed: 1, chop: 0.2 }, 'Shuffle the pack overhand once.'],
  [{ kind: 'take', place: 5 }, 'Take the card at 5 out of the pack.'],
  [{ kind: 'take', place: 5, card: 19 }, 'Take 7♦ at 5 out of the pack.'],
  [{ kind: 'put', place: 5, card: 19 }, 'Put 7♦ into the pack at 5.'],
])('%j is told in one sentence', (move, sentence) => {
  expect(describeMove(move)).toBe(sentence);
});

test('a reverse weave is told as what the hands do: jogging out what the weave had put in', () => {
  // What is jogged out of A1 B1 A2 B2 … and goes on top or below must be told so that the weave is undone.
  for (const weave of ['in', 'out'] as const) {
    const sentence = describeMove({ kind: 'unweave', weave });
    expect(sentence).toContain(`(the ${weave === 'out' ? 'second, fourth' : 'first, third'} and so on)`);
    const order = [1, 2, 3, 4, 5, 6, 7, 8];
    const jogged = order.filter((_, index) => (index % 2 === 1) === (weave === 'out'));
    const rest = order.filter((card) => !jogged.includes(card));
    const by = sentence.includes('on top') ? [...jogged, ...rest] : [...rest, ...jogged];
    expect(applyMove(order, { kind: 'unweave', weave })).toEqual(by);
  }
});

test('heaps are picked up again as their sentence says, with the sizes of a pack that does not come out even', () => {
  for (const [size, heaps] of [
    [52, 4],
    [53, 4],
    [10, 3],
    [5, 5],
  ]) {
    const order = Array.from({ length: size }, (_, index) => index);
    const gather = Array.from({ length: heaps }, (_, index) => ((index + 1) % heaps) + 1);
    const dealt = applyMove(order, { kind: 'deal heaps', heaps, gather });
    const sentence = describeMove({ kind: 'undeal heaps', heaps, gather }, size);
    const lifted = new Map<number, number[]>();
    let at = 0;
    for (const [, count, heap] of sentence.matchAll(/(\d+) cards? for heap (\d+)/g))
      lifted.set(Number(heap), dealt.slice(at, (at += Number(count))));
    expect(at).toBe(size);
    const turns = /from heap ([\d, ]+) and again/.exec(sentence)?.[1].split(', ').map(Number) ?? [];
    const hand: number[] = [];
    for (let turn = 0; hand.length < size; turn++)
      hand.unshift(lifted.get(turns[turn % heaps])?.shift() ?? -1);
    expect(hand).toEqual(order);
  }
});

test('an odd number of cards: the sentence says which part is the larger, as the weave has it', () => {
  for (const size of [5, 27, 53])
    for (const weave of ['in', 'out'] as const) {
      const sentence = describeMove({ kind: 'weave', weave }, size);
      const [, larger, part] = /with (\d+) cards in the (upper|lower) part/.exec(sentence) ?? [];
      const upper = part === 'upper' ? Number(larger) : size - Number(larger);
      const after = applyMove(
        Array.from({ length: size }, (_, index) => index),
        { kind: 'weave', weave },
      );
      // Each part stays in its order, and cards of the two alternate.
      expect(after.every((card, index) => index === 0 || card < upper !== after[index - 1] < upper)).toBe(
        true,
      );
    }
  expect(describeMove({ kind: 'weave', weave: 'in' }, 52)).not.toContain('part');
});

test('heaps and packets by hand, as their sentences say', () => {
  const order = [1, 2, 3, 4, 5, 6, 7];
  // Dealt round: 7 4 1, 5 2 and 6 3, from the top of each.
  expect(applyMove(order, { kind: 'deal heaps', heaps: 3, gather: [2, 1, 3] })).toEqual([
    5, 2, 7, 4, 1, 6, 3,
  ]);
  expect(applyMove([5, 2, 7, 4, 1, 6, 3], { kind: 'undeal heaps', heaps: 3, gather: [2, 1, 3] })).toEqual(
    order,
  );
  expect(applyMove(order, { kind: 'move packet', from: 2, to: 3, after: 5, reversed: true })).toEqual([
    1, 4, 5, 3, 2, 6, 7,
  ]);
  expect(applyMove(order, { kind: 'weave packet', weave: 'out', count: 2 })).toEqual([1, 3, 2, 4, 5, 6, 7]);
  expect(applyMove(order, { kind: 'weave packet', weave: 'in', count: 2 })).toEqual([3, 1, 4, 2, 5, 6, 7]);
  expect(applyMove(order, { kind: 'unweave packet', weave: 'out', count: 2 })).toEqual([1, 3, 2, 4, 5, 6, 7]);
  expect(applyMove(order, { kind: 'unweave packet', weave: 'in', count: 2 })).toEqual([2, 4, 1, 3, 5, 6, 7]);
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

test('every move, and its inverse, is read back as it is', () => {
  fc.assert(
    fc.property(packAndMove, ([order, move]) => {
      for (const each of [move, invertMove(move, order.length) ?? move]) {
        expect(parseMove(each)).toEqual({ ok: true, move: each });
        expect(parseMove({ ...each, more: 1 })).toMatchObject({ ok: false, problems: [{ where: 'more' }] });
      }
    }),
  );
});

test.each<[unknown, string]>([
  [null, 'kind'],
  [[], 'kind'],
  [{ kind: 'toString' }, 'kind'],
  [{ kind: { toString: 1 } }, 'kind'],
  [{ kind: 'cut' }, 'count'],
  [{ kind: 'cut', count: 61 }, 'count'],
  [{ kind: 'cut', count: 1.5 }, 'count'],
  [{ kind: 'cut', count: '1' }, 'count'],
  [{ kind: 'weave', weave: 'sideways' }, 'weave'],
  [{ kind: 'deal heaps', heaps: 2, gather: [1, 1] }, 'gather'],
  [{ kind: 'deal heaps', heaps: 2, gather: [0, 1] }, 'gather › 1'],
  [{ kind: 'deal heaps', heaps: 14, gather: [] }, 'heaps'],
  [{ kind: 'reverse packet', from: 9, to: 3 }, 'to'],
  [{ kind: 'move packet', from: 2, to: 9, after: 5, reversed: false }, 'after'],
  [{ kind: 'riffle', seed: 2 ** 60 }, 'seed'],
  [{ kind: 'overhand', seed: 1, chop: 0 }, 'chop'],
  [{ kind: 'put', place: 1, card: 108 }, 'card'],
])('%j is no move: %s is wrong', (value, where) => {
  const outcome = parseMove(value);
  expect(outcome.ok ? '' : outcome.problems[0].where).toBe(where);
});

test('a packet that reaches beyond the pack goes back as far as it went', () => {
  for (let size = 1; size <= 6; size++)
    for (let from = 1; from <= 8; from++)
      for (let to = from; to <= 9; to++)
        for (let after = 0; after <= 9; after++) {
          if (after >= from && after < to) continue;
          for (const reversed of [false, true]) {
            const order = [...Array(size).keys()];
            const move: Move = { kind: 'move packet', from, to, after, reversed };
            const back = invertMove(move, size) as Move;
            expect(applyMove(applyMove(order, move), back)).toEqual(order);
          }
        }
});
