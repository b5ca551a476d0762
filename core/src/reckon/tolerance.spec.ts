import fc from 'fast-check';
import { numberOrder } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { applyMove } from '../moves/move';
import { handlings, landing } from './handling';
import { ALL_HANDLINGS, easyRange, handlingMap, isTolerated, toleratedFirst, Tolerance } from './tolerance';

const now = shuffled(numberOrder(), seededRng(4));
const anyTolerance: fc.Arbitrary<Tolerance> = fc.record({
  shift: fc.integer({ min: 0, max: 8 }),
  turnTheNext: fc.boolean(),
  fromTheFace: fc.boolean(),
  cut: fc.boolean(),
  hold: fc.boolean(),
});

test('handlings keep their order, the tolerated ones first, and none is lost', () => {
  fc.assert(
    fc.property(anyTolerance, fc.nat(51), fc.integer({ min: 1, max: 52 }), (tolerance, card, number) => {
      const ways = handlings(now, card, number);
      const sorted = toleratedFirst(ways, tolerance);
      expect(new Set(sorted)).toEqual(new Set(ways));
      const flags = sorted.map((way) => isTolerated(way, tolerance));
      expect(flags).toEqual([...flags].sort((a, b) => Number(b) - Number(a)));
    }),
  );
});

test('the map says what really is needed, over every card and number', () => {
  const map = handlingMap(now, { ...ALL_HANDLINGS, shift: 3, turnTheNext: false, fromTheFace: false });
  now.forEach((_, index) =>
    map[index].forEach((need, at) => {
      const gap = Math.abs(index - at);
      const moved = Math.min(gap, 52 - gap);
      expect(need).toBe(moved === 0 ? 'nothing' : moved <= 3 ? 'little' : 'cut');
    }),
  );
});

test('what other ways of counting save is real: the card is there with no more than the tolerated cards moved', () => {
  const map = handlingMap(now, { ...ALL_HANDLINGS, shift: 1, cut: false });
  for (const [index, row] of map.entries())
    for (const [at, need] of row.entries()) {
      const lands = (['turn the last', 'turn the next', 'from the face'] as const).map((counting) =>
        landing(counting, at + 1, 52),
      );
      const near = lands.some((place) => {
        const gap = Math.abs(place - 1 - index);
        return place <= 52 && Math.min(gap, 52 - gap) <= 1;
      });
      expect(need === 'more').toBe(!near);
    }
});

test('the easy range needs at most so many cards, over every card', () => {
  for (const card of now)
    for (const most of [0, 3]) {
      const range = easyRange(now, card, most);
      for (let number = range?.from ?? 1; number <= (range?.to ?? 0); number++) {
        const [plain] = handlings(now, card, number).filter(({ counting }) => counting === 'turn the last');
        expect(plain.displaced).toBeLessThanOrEqual(most);
        const after = plain.move ? applyMove(now, plain.move) : now;
        expect(after[number - 1]).toBe(card);
      }
    }
  expect(easyRange([1, 2], 7, 3)).toBeUndefined();
});
