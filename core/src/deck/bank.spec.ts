import fc from 'fast-check';
import { FULL_PACK } from './card';
import { numberOrder } from './order';
import { seededRng, shuffled } from './rng';
import { BankPosition, countingRun, fillSlots, freeSlots, layBank } from './bank';

const anyBank = fc
  .tuple(fc.integer(), fc.integer({ min: 1, max: 20 }))
  .map(([seed, count]) => shuffled(numberOrder(), seededRng(seed)).slice(0, count));
const anyPosition: fc.Arbitrary<BankPosition> = fc.oneof(
  fc.record({ kind: fc.constant('behind'), count: fc.integer({ min: 0, max: 60 }) }),
  fc.constant<BankPosition>({ kind: 'at the face' }),
  fc.constant<BankPosition>({ kind: 'around the middle' }),
  fc.record({
    kind: fc.constant('every'),
    step: fc.integer({ min: 1, max: 6 }),
    first: fc.integer({ min: 1, max: 10 }),
  }),
);

test('a bank lies where it should, and the rest of the pack falls round it as it comes', () => {
  fc.assert(
    fc.property(anyBank, anyPosition, fc.integer(), (cards, position, seed) => {
      const outcome = layBank(cards, position, FULL_PACK);
      if (!outcome.ok) return;
      const { bank } = outcome;
      const pack = shuffled(numberOrder(), seededRng(seed));
      const order = fillSlots(freeSlots(bank, FULL_PACK), pack);
      expect([...order].sort((a, b) => a - b)).toEqual(numberOrder());
      bank.places.forEach((place, index) => expect(order[place - 1]).toBe(cards[index]));
      expect(order.filter((card) => !cards.includes(card))).toEqual(
        pack.filter((card) => !cards.includes(card)),
      );
    }),
  );
});

test('banks by hand', () => {
  const places = (position: BankPosition): readonly number[] => {
    const outcome = layBank([1, 2, 3], position, 10);
    return outcome.ok ? outcome.bank.places : [];
  };
  expect(places({ kind: 'behind', count: 4 })).toEqual([5, 6, 7]);
  expect(places({ kind: 'at the face' })).toEqual([8, 9, 10]);
  expect(places({ kind: 'around the middle' })).toEqual([4, 5, 6]);
  expect(places({ kind: 'every', step: 3, first: 2 })).toEqual([2, 5, 8]);
});

test.each<[readonly number[], BankPosition, string]>([
  [[], { kind: 'at the face' }, 'empty'],
  [[1, 1], { kind: 'at the face' }, 'twice'],
  [[1, 2], { kind: 'behind', count: 51 }, 'from 52 to 53'],
  [[1, 2], { kind: 'every', step: 3, first: 0 }, 'from 0'],
  [[1, 2], { kind: 'every', step: 0, first: 5 }, 'every 0 is'],
  [[1, 2], { kind: 'every', step: -1, first: 5 }, 'every -1 is'],
  [[1, 2], { kind: 'every', step: 1.5, first: 5 }, 'every 1.5 is'],
])('a bank %j that cannot be laid is told why', (cards, position, message) => {
  const outcome = layBank(cards, position, 52);
  expect(outcome.ok ? '' : outcome.problems[0].what).toContain(message);
});

test('on a counting run the next two ranks give the number cut, for every cut in it', () => {
  let found = 0;
  for (let count = 4; count <= 24; count++)
    for (let length = 2; length <= 16; length++)
      for (let firstRank = 1; firstRank <= 13; firstRank++) {
        const cards = countingRun(count, length, firstRank);
        if (!cards) continue;
        found++;
        const outcome = layBank(cards, { kind: 'behind', count }, FULL_PACK);
        if (!outcome.ok) throw new Error(outcome.problems[0].what);
        const order = fillSlots(freeSlots(outcome.bank, FULL_PACK), numberOrder());
        for (let cutAt = count; cutAt <= count + length - 2; cutAt++)
          expect((order[cutAt] % 13) + 1 + (order[cutAt + 1] % 13) + 1).toBe(cutAt);
      }
  expect(found).toBeGreaterThan(300);
  expect(countingRun(10, 12, 13)).toBeUndefined();
});
