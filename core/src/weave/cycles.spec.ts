import faro from '../../test/vectors/faro.json';
import { mateOf } from '../deck/card';
import { sameOrder } from '../deck/order';
import { weave, WeaveKind } from '../moves/weave';
import { mirroredMates, weaveCycles } from './cycles';

test.each<[WeaveKind, Record<string, number>]>([
  ['out', faro.outOrders],
  ['in', faro.inOrders],
])('%s weaves bring every size back, card by card', (kind, expected) => {
  for (let size = 1; size <= 64; size++) {
    const home = Array.from({ length: size }, (_, index) => index);
    const { back, cycles, fixed } = weaveCycles(size, kind);
    let now: readonly number[] = weave(home, kind);
    let count = 1;
    for (; !sameOrder(now, home); count++) now = weave(now, kind);
    expect([size, back]).toEqual([size, count]);
    if (size.toString() in expected) expect(back).toBe(expected[size.toString()]);
    expect(cycles.flat().sort((a, b) => a - b)).toEqual(home.map((index) => index + 1));
    const once = weave(home, kind);
    for (const cycle of cycles)
      cycle.forEach((place, step) => expect(once[cycle[(step + 1) % cycle.length] - 1]).toBe(place - 1));
    expect(fixed).toEqual(home.filter((index) => once[index] === index).map((index) => index + 1));
  }
});

test('mirrored mates are counted, and an even pack keeps them through every weave', () => {
  for (const count of [1, 5, 26]) {
    const half = Array.from({ length: count }, (_, index) => index);
    const mirrored = [...half, ...half.map(mateOf).reverse()];
    expect(mirroredMates(mirrored)).toBe(count);
    for (const kind of ['in', 'out'] as const) expect(mirroredMates(weave(mirrored, kind))).toBe(count);
  }
  expect(mirroredMates([0, 1, 2])).toBe(0);
});
