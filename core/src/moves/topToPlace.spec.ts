import { applyMove, Move } from './move';
import { weavesToPlace } from './topToPlace';

test('the weaves bring the top card there, for every place of every size', () => {
  for (let size = 2; size <= 60; size++) {
    const pack = Array.from({ length: size }, (_, card) => card);
    for (let place = 1; place <= size; place++) {
      const moves = weavesToPlace(place).map((weave): Move => ({ kind: 'weave', weave }));
      expect(moves.reduce(applyMove, pack)[place - 1]).toBe(0);
    }
  }
});

test('twelve is in, out, in, in; the top itself is nothing', () => {
  expect(weavesToPlace(12)).toEqual(['in', 'out', 'in', 'in']);
  expect(weavesToPlace(1)).toEqual([]);
});
