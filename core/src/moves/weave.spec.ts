import faro from '../../test/vectors/faro.json';
import stacks from '../../test/vectors/stacks.json';
import { Card } from '../deck/card';
import { formatOrder } from '../deck/orderText';
import { parseCard } from '../deck/notation';
import { sameOrder } from '../deck/order';
import { applyMove, Move } from './move';
import { unweave, weave, WeaveKind } from './weave';

const tidemark = stacks.tidemark.map((name) => parseCard(name) as Card);
const numbers = (size: number): number[] => Array.from({ length: size }, (_, index) => index + 1);

/** How many weaves bring a pack back. */
const rounds = (size: number, kind: WeaveKind): number => {
  const start = numbers(size);
  let now = weave(start, kind);
  let count = 1;
  for (; !sameOrder(now, start); count++) now = weave(now, kind);
  return count;
};

test('the worked examples of 52 and 53 cards', () => {
  expect(formatOrder(weave(tidemark, 'out'))).toBe(faro.out52.join(' '));
  expect(formatOrder(weave(tidemark, 'in'))).toBe(faro.in52.join(' '));
  expect(weave(numbers(53), 'out')).toEqual(faro.out53);
  expect(weave(numbers(53), 'in')).toEqual(faro.in53);
});

test('for every size from 2 to 64, both kinds: the formulas, the order and the way back', () => {
  const { outOrders, inOrders } = faro as unknown as Record<string, Record<string, number>>;
  for (let size = 2; size <= 64; size++) {
    const pack = numbers(size);
    const even = size % 2 === 0;
    pack.forEach((card, index) => {
      const out = even && index === size - 1 ? index : (2 * index) % (even ? size - 1 : size);
      expect(weave(pack, 'out')[out]).toBe(card);
      expect(weave(pack, 'in')[(2 * index + 1) % (even ? size + 1 : size)]).toBe(card);
    });
    expect(rounds(size, 'out')).toBe(outOrders[size]);
    expect(rounds(size, 'in')).toBe(inOrders[size]);
    for (const kind of ['in', 'out'] as const) expect(unweave(weave(pack, kind), kind)).toEqual(pack);
  }
});

test('partial weaves leave the rest alone', () => {
  const after = (move: Move): readonly number[] => applyMove(numbers(8), move);
  expect(after({ kind: 'weave', weave: 'out', top: 4 })).toEqual([1, 3, 2, 4, 5, 6, 7, 8]);
  expect(after({ kind: 'weave', weave: 'in', top: 5 })).toEqual([3, 1, 4, 2, 5, 6, 7, 8]);
  expect(after({ kind: 'weave packet', weave: 'out', count: 2 })).toEqual([1, 3, 2, 4, 5, 6, 7, 8]);
  expect(after({ kind: 'weave packet', weave: 'in', count: 3 })).toEqual([4, 1, 5, 2, 6, 3, 7, 8]);
});

test('packets and heaps by hand', () => {
  const after = (move: Move): readonly number[] => applyMove(numbers(6), move);
  expect(after({ kind: 'move packet', from: 2, to: 3, after: 5, reversed: false })).toEqual([
    1, 4, 5, 2, 3, 6,
  ]);
  expect(after({ kind: 'move packet', from: 4, to: 6, after: 0, reversed: true })).toEqual([
    6, 5, 4, 1, 2, 3,
  ]);
  expect(after({ kind: 'reverse packet', from: 2, to: 4 })).toEqual([1, 4, 3, 2, 5, 6]);
  expect(after({ kind: 'deal heaps', heaps: 2, gather: [2, 1] })).toEqual([6, 4, 2, 5, 3, 1]);
});

test('a riffle leaves at most two rising sequences, and cuts about in the middle', () => {
  let upper = 0;
  for (let seed = 0; seed < 400; seed++) {
    const after = applyMove(numbers(52), { kind: 'riffle', seed });
    const places = numbers(52).map((card) => after.indexOf(card));
    const falls = places.filter((place, index) => index > 0 && place < places[index - 1]);
    expect(falls.length).toBeLessThanOrEqual(1);
    const cutAt = places.findIndex((place, index) => index > 0 && place < places[index - 1]);
    upper += cutAt < 0 ? 26 : cutAt;
  }
  expect(Math.abs(upper / 400 - 26)).toBeLessThan(1);
});

test('an overhand shuffle of certain chops reverses the pack, and packets keep their order', () => {
  expect(applyMove(numbers(5), { kind: 'overhand', seed: 1, chop: 1 })).toEqual([5, 4, 3, 2, 1]);
  const lengths = Array.from({ length: 300 }, (_, seed) => {
    const after = applyMove(numbers(52), { kind: 'overhand', seed, chop: 0.25 });
    return after.filter((card, index) => index > 0 && card !== after[index - 1] + 1).length;
  });
  expect(Math.abs(lengths.reduce((sum, count) => sum + count) / 300 - 51 * 0.25)).toBeLessThan(0.8);
});
