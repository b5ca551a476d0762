import odds from '../../test/vectors/odds.json';
import { mateOf } from '../deck/card';
import { numberOrder } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { adjacentMatesChance } from './adjacentMates';
import { riffleDistance } from './riffleDistance';

test('the distance from shuffled after one to ten riffles of 52 cards: the worked examples', () => {
  for (const [riffles, distance] of Object.entries(odds.riffleDistance.k))
    expect(riffleDistance(52, Number(riffles))).toBeCloseTo(distance, 3);
  expect(riffleDistance(52, 0)).toBeCloseTo(1, 9);
});

test('on small packs it is what trying every riffle gives', () => {
  for (const size of [2, 3, 5, 6]) {
    const counts = new Map<string, number>();
    for (let bits = 0; bits < 2 ** size; bits++) {
      const upper = Array.from({ length: size }, (_, index) => (bits >> index) & 1);
      let [top, bottom] = [0, upper.filter(Boolean).length];
      const order = upper.map((bit) => (bit ? top++ : bottom++)).join();
      counts.set(order, (counts.get(order) ?? 0) + 1);
    }
    let orders = 1;
    for (let factor = 2; factor <= size; factor++) orders *= factor;
    let distance = (orders - counts.size) / orders;
    for (const count of counts.values()) distance += Math.abs(count / 2 ** size - 1 / orders);
    expect(riffleDistance(size, 1)).toBeCloseTo(distance / 2, 9);
  }
});

test('mates side by side: the worked example, small packs by hand, and packs shuffled', () => {
  expect(adjacentMatesChance(26)).toBeCloseTo(odds.adjacentMates.p, 6);
  // Two pairs: of 24 orders 16 have a pair side by side.
  expect(adjacentMatesChance(1)).toBe(1);
  expect(adjacentMatesChance(2)).toBeCloseTo(16 / 24, 12);
  const rng = seededRng(5);
  let hits = 0;
  for (let pack = 0; pack < 4000; pack++) {
    const order = shuffled(numberOrder(), rng);
    if (order.some((card, index) => order[index + 1] === mateOf(card))) hits++;
  }
  expect(hits / 4000).toBeCloseTo(0.636, 1);
});
