import { seededRng, shuffled } from './rng';

test('the same seed gives the same numbers, another seed others, all in [0, 1)', () => {
  const take = (seed: number): number[] => Array.from({ length: 1000 }, seededRng(seed));
  expect(take(7)).toEqual(take(7));
  expect(take(7)).not.toEqual(take(8));
  expect(take(0).every((value) => value >= 0 && value < 1)).toBe(true);
  expect(new Set(take(0)).size).toBeGreaterThan(990);
});

test('a shuffle keeps every item and makes each arrangement about as often', () => {
  const rng = seededRng(2026);
  const counts = new Map<string, number>();
  for (let round = 0; round < 6000; round++) {
    const key = shuffled(['a', 'b', 'c'], rng).join('');
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  expect([...counts.keys()].sort()).toEqual(['abc', 'acb', 'bac', 'bca', 'cab', 'cba']);
  for (const count of counts.values()) expect(Math.abs(count - 1000)).toBeLessThan(150);
});
