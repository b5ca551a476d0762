import fc from 'fast-check';
import { Card, mateOf, Rank } from '../deck/card';
import { numberOrder, Order } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { exampleCard, headWay, headWays } from './headWay';
import { orderByRule, Rule } from './rule';

const orderOf = (rule: Rule): Order => {
  const outcome = orderByRule(rule);
  if (!outcome.ok) throw new Error('no order');
  return outcome.order;
};

const anyRotating = fc.record({
  kind: fc.constant('rotating' as const),
  first: fc.nat(51),
  step: fc.integer({ min: 1, max: 12 }),
  suits: fc.shuffledSubarray([0, 1, 2, 3] as const, { minLength: 4, maxLength: 4 }),
});
const anyRankRow = fc.record({
  kind: fc.constant('rank row' as const),
  ranks: fc.shuffledSubarray(
    Array.from({ length: 13 }, (_, index) => (index + 1) as Rank),
    { minLength: 13, maxLength: 13 },
  ),
  suits: fc.shuffledSubarray([0, 1, 2, 3] as const, { minLength: 4, maxLength: 4 }),
});

/** Every way is right for every card, its lines add up, and its figures are those of its sums. */
const isRight = (order: Order): void => {
  for (const way of headWays(order)) {
    let [additions, largest] = [0, 0];
    const wrong: Card[] = [];
    const totals = order.map((card) => {
      const lines = way.work(card);
      let total = 0;
      for (const { amount, role } of lines) {
        if (role === 'result' && total !== amount) wrong.push(card);
        total = role === 'add' ? total + amount : amount;
        if (role === 'add') {
          additions++;
          largest = Math.max(largest, Math.abs(amount));
        }
      }
      return total;
    });
    expect([way.name, wrong, totals]).toEqual([way.name, [], order.map((_, index) => index + 1)]);
    expect(way.additions).toBeCloseTo(additions / order.length);
    expect(way.largest).toBe(largest);
    expect(headWay(order, way.name)?.remember).toEqual(way.remember);
  }
};

test('every rotating order is worked out by a shift of suits and by anchors, each right for all cards', () => {
  fc.assert(
    fc.property(anyRotating, (rule) => {
      const order = orderOf(rule);
      const names = headWays(order).map(({ name }) => name);
      expect(names.filter((name) => name.includes('by a shift'))).toHaveLength(4);
      expect(names.some((name) => name.startsWith('anchors A'))).toBe(true);
      isRight(order);
    }),
    { numRuns: 30 },
  );
});

test('a rank row has its shifts, mirrored halves and palindromes their mates', () => {
  fc.assert(
    fc.property(anyRankRow, (rule) => {
      const order = orderOf(rule);
      expect(headWays(order).some(({ name }) => name.includes('by a shift'))).toBe(true);
      isRight(order);
    }),
    { numRuns: 40 },
  );
  const half = shuffled(numberOrder(), seededRng(4)).filter((card, index, all) => {
    return all.indexOf(mateOf(card)) > index;
  });
  for (const order of [
    [...half, ...half.map(mateOf)],
    [...half, ...[...half].reverse().map(mateOf)],
  ]) {
    expect(headWays(order)[0].facts).toBe(26);
    isRight(order);
  }
});

test('an order without such a rule has none; nor have parts, jokers or copies', () => {
  const random = shuffled(numberOrder(), seededRng(4));
  expect(headWays(random)).toEqual([]);
  expect(headWays([...numberOrder(), 52, 53])).toEqual([]);
  expect(headWays([4, 5, 6])).toEqual([]);
  expect(headWays([])).toEqual([]);
  expect(exampleCard([4, 5, 6])).toBe(5);
  isRight(numberOrder());
});

test('the easiest ways come first, and none multiplies by more than a few ranks', () => {
  const order = orderOf({ kind: 'rotating', first: 34, step: 5, suits: [1, 3, 2, 0] });
  const ways = headWays(order);
  expect(ways[0].additions).toBeLessThanOrEqual(1.5);
  const three = ways.find(({ facts }) => facts === 13);
  for (const card of order)
    for (const { words } of three?.work(card) ?? [])
      expect(Number(/^(\d+) ×/.exec(words)?.[1] ?? 0)).toBeLessThanOrEqual(4);
});
