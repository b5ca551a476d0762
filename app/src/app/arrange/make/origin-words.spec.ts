import { describeOrigin, Origin } from '@enumeron/core/arrange';
import { sampleOrders } from '../../nouns/orders/sample';

test.each<[Origin, string]>([
  [{ kind: 'rule', rule: { kind: 'rotating', first: 1, step: 3, suits: [0, 2, 3, 1] } }, '+3 ♣♥♠♦'],
  [{ kind: 'rule', rule: { kind: 'mirrored halves' } } as unknown as Origin, 'mirrored halves'],
  [
    {
      kind: 'recipe',
      base: [1, 2],
      moves: [
        { kind: 'cut', count: 1 },
        { kind: 'weave', weave: 'in' },
      ],
    },
    'recipe of 2',
  ],
  [{ kind: 'bank', bank: { cards: [5, 6], places: [21, 22] } }, 'bank at 21'],
  [{ kind: 'random', seed: 7 } as Origin, 'at random'],
])('%j is told in few words', (origin, words) => {
  expect(describeOrigin(origin)).toBe(words);
});

test('every sample that was made by something says by what', () => {
  const words = sampleOrders().flatMap(({ origin }) => (origin ? [describeOrigin(origin)] : []));
  expect(words.length).toBeGreaterThan(2);
  for (const each of words) expect(each).not.toContain('undefined');
});
