import fc from 'fast-check';
import { numberOrder } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { cut } from '../moves/cut';
import { checkGlimpses } from './glimpseCheck';
import { compareOrders } from './compare';

const anyPack = fc.integer().map((seed) => shuffled(numberOrder(), seededRng(seed)));

test('an order held against itself turned', () => {
  fc.assert(
    fc.property(anyPack, fc.nat(51), (pack, offset) => {
      const { samePlaces, sameNeighbours, longestRun, ...rest } = compareOrders(pack, cut(pack, offset));
      expect(rest).toEqual({ offset, onlyInFirst: [], onlyInSecond: [] });
      expect(samePlaces).toHaveLength(offset === 0 ? 52 : 0);
      expect(sameNeighbours).toHaveLength(52);
      expect(longestRun).toHaveLength(52);
    }),
  );
});

test('what is the same and what is not, by hand', () => {
  const [a, b] = [
    [1, 2, 3, 4, 5, 6, 7],
    [9, 2, 3, 4, 1, 6, 5],
  ];
  expect(compareOrders(a, b)).toEqual({
    offset: undefined,
    samePlaces: [2, 3, 4, 6],
    sameNeighbours: [2, 3],
    longestRun: [2, 3, 4],
    onlyInFirst: [7],
    onlyInSecond: [9],
  });
});

test('a block moved keeps all its neighbours but three', () => {
  fc.assert(
    fc.property(anyPack, (pack) => {
      const moved = [...pack.slice(0, 5), ...pack.slice(20, 30), ...pack.slice(5, 20), ...pack.slice(30)];
      expect(compareOrders(pack, moved).sameNeighbours).toHaveLength(49);
      expect(compareOrders(pack, moved).longestRun).toEqual([...pack.slice(30), ...pack.slice(0, 5)]);
    }),
  );
});

test('glimpses of a pack that is only turned always fit, and one wrong card is found among three', () => {
  fc.assert(
    fc.property(
      anyPack,
      fc.nat(51),
      fc.uniqueArray(fc.nat(51), { minLength: 3, maxLength: 6 }),
      (pack, offset, at) => {
        const now = cut(pack, offset);
        const seen = at.map((index) => ({ place: index + 1, card: now[index] }));
        expect(checkGlimpses(pack, seen)).toMatchObject({ offset, odd: [] });
        const wrong = { place: seen[0].place, card: now[(at[0] + 1) % 52] };
        expect(checkGlimpses(pack, [wrong, ...seen.slice(1)])).toMatchObject({ offset, odd: [wrong] });
      },
    ),
  );
});

test('the next look is in the middle of the longest stretch not seen', () => {
  const pack = numberOrder();
  const at = (...places: number[]): number | undefined =>
    checkGlimpses(
      pack,
      places.map((place) => ({ place, card: pack[place - 1] })),
    ).lookNext;
  expect(at()).toBe(52);
  expect(at(52)).toBe(26);
  expect(at(52, 26)).toBe(39);
  expect(checkGlimpses(pack, []).says).toBe('Nothing seen yet.');
  expect(checkGlimpses(pack, [{ place: 3, card: 53 }]).offset).toBeUndefined();
});

test('cards seen that the order does not hold are said to be so, and not to be unseen', () => {
  expect(checkGlimpses([0, 1, 2], []).says).toBe('Nothing seen yet.');
  expect(checkGlimpses([0, 1, 2], [{ place: 1, card: 52 }]).says).toBe('The card seen is not in this order.');
  const both = [52, 53].map((card, index) => ({ place: index + 1, card }));
  expect(checkGlimpses([0, 1, 2], both)).toMatchObject({
    says: 'The cards seen are not in this order.',
    odd: [],
  });
});
