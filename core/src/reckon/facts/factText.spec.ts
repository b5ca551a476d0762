import fc from 'fast-check';
import { Fact } from './fact';
import { readFact, writeFact } from './factText';

const card = fc.integer({ min: 0, max: 107 });
const rank = fc.integer({ min: 1, max: 13 });
const place = fc.integer({ min: 1, max: 60 });
const some = <Value>(value: fc.Arbitrary<Value>): fc.Arbitrary<Value | undefined> =>
  fc.option(value, { nil: undefined });

/** Every kind of fact: one that is added is asked for here by the type. */
const ANY: Readonly<Record<Fact['kind'], fc.Arbitrary<unknown>>> = {
  cut: fc.constant({}),
  seen: fc.record({ at: fc.oneof(fc.constant('face'), fc.constant('top'), place), card }),
  lift: fc.record({ face: some(card), size: some(fc.tuple(place, place)) }),
  cuts: fc.record({ first: card, second: card }),
  'next ranks': fc.record({ first: rank, second: rank }),
  dealt: fc.record({ count: place }),
  taken: fc.record({ count: fc.integer({ min: 1, max: 2 }) }),
  missing: fc.record({ card }),
  gap: fc.record({ above: card, below: card, count: fc.integer({ min: 1, max: 9 }) }),
  row: fc.record({ cards: fc.array(card, { minLength: 2, maxLength: 60 }) }),
  'short group': fc.record({ rank }),
  heap: fc.record({
    heaps: fc.constant(3),
    heap: fc.integer({ min: 1, max: 3 }),
    gather: some(fc.constant([2, 3, 1])),
  }),
};

test.each(Object.entries(ANY))('%s is written and read back', (kind, parts) => {
  fc.assert(
    fc.property(parts, (made) => {
      const fact = JSON.parse(JSON.stringify({ kind, ...(made as object) })) as Fact;
      expect(readFact(writeFact(fact))).toEqual(fact);
    }),
  );
});

test('it can be read by people, and nonsense is no fact', () => {
  expect(writeFact({ kind: 'lift', face: 47, size: [10, 20] })).toBe('lift,face:9S,size:10.20');
  for (const text of [
    '',
    'lift,face',
    'seen,at:face',
    'seen,at:face,card:11H',
    'cut,more:1',
    'x',
    'heap,heaps:3,heap:4',
  ])
    expect(readFact(text)).toBeUndefined();
});
