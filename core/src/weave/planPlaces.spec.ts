import { Order } from '../deck/order';
import { randomInt, Rng, seededRng, shuffled } from '../deck/rng';
import { cut } from '../moves/cut';
import { applyMove, Move } from '../moves/move';
import { weave } from '../moves/weave';
import { planPlaces, PlacesWish, Wanted } from './planPlaces';
import { weavePath } from './weavePath';

const packOf = (size: number): Order => Array.from({ length: size }, (_, index) => index);

/** What a row costs: its price, then its weaves, then its cuts. */
type Cost = readonly [price: number, weaves: number, cuts: number];
const costOf = (moves: readonly Move[], cutPrice: number): Cost => {
  const weaves = moves.filter(({ kind }) => kind === 'weave').length;
  const cuts = moves.length - weaves;
  return [weaves + cutPrice * cuts, weaves, cuts];
};
const compare = (a: Cost, b: Cost): number => a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

/** The cost of the places that some cards can be brought to from others, each way tried on whole packs. */
const everyCost = (
  size: number,
  from: readonly number[],
  cutPrice: number | undefined,
): Map<string, Cost> => {
  const home = packOf(size);
  // Where each place goes, found by moving a pack.
  const goes = (after: Order): number[] => home.map((card) => after.indexOf(card) + 1);
  const weaves = [goes(weave(home, 'in')), goes(weave(home, 'out'))];
  const cuts = cutPrice === undefined ? [] : home.slice(1).map((count) => goes(cut(home, count)));
  const found = new Map<string, Cost>([[from.join(), [0, 0, 0]]]);
  let edge = [from];
  while (edge.length > 0) {
    const next = new Map<string, readonly number[]>();
    const try_ = (places: readonly number[], cost: Cost): void => {
      const key = places.join();
      const known = found.get(key);
      if (known && compare(known, cost) <= 0) return;
      found.set(key, cost);
      next.set(key, places);
    };
    for (const places of edge) {
      const [price, woven, count] = found.get(places.join()) as Cost;
      for (const to of weaves)
        try_(
          places.map((place) => to[place - 1]),
          [price + 1, woven + 1, count],
        );
      for (const to of cuts)
        try_(
          places.map((place) => to[place - 1]),
          [price + (cutPrice ?? 0), woven, count + 1],
        );
    }
    edge = [...next.values()];
  }
  return found;
};

const somePlaces = (size: number, count: number, rng: Rng): number[] =>
  shuffled(packOf(size), rng)
    .slice(0, count)
    .map((index) => index + 1);

const wantedOf = (from: readonly number[], to: readonly number[]): Wanted[] =>
  from.map((place, index) => ({ from: place, to: to[index] }));

/** Where the cards of a wish end when the row is done with a pack. */
const endsOf = ({ size, wanted }: PlacesWish, moves: readonly Move[]): number[] => {
  const after = moves.reduce(applyMove, packOf(size));
  return wanted.map(({ from }) => after.indexOf(from - 1) + 1);
};

test.each<[number, 0 | 1 | 2 | undefined]>(
  [8, 9, 10, 11, 12]
    .flatMap((size) => ([0, 1, 2, undefined] as const).map((price) => [size, price] as const))
    .map((each) => [...each] as [number, 0 | 1 | 2 | undefined]),
)(
  '%i cards, a cut at %s: no row is cheaper, by going every way from one to three cards',
  (size, cutPrice) => {
    const rng = seededRng(size);
    for (const count of [1, 2, 3])
      for (let round = 0; round < 2; round++) {
        const from = somePlaces(size, count, rng);
        const costs = everyCost(size, from, cutPrice);
        for (let wish = 0; wish < 20; wish++) {
          const to = somePlaces(size, count, rng);
          const asked = { size, wanted: wantedOf(from, to), cuts: cutPrice !== undefined, cutPrice };
          const row = planPlaces(asked);
          expect([from, to, row && costOf(row, cutPrice ?? 1)]).toEqual([from, to, costs.get(to.join())]);
          if (row) expect(endsOf(asked, row)).toEqual(to);

          const any = planPlaces({ ...asked, anyOrder: true });
          const ends = [...costs].filter(([key]) => {
            const places = key.split(',').map(Number);
            return to.every((place) => places.includes(place));
          });
          const cheapest = ends
            .map(([, cost]) => cost)
            .sort(compare)
            .at(0);
          expect(any && costOf(any, cutPrice ?? 1)).toEqual(cheapest);
          if (any) expect(new Set(endsOf(asked, any))).toEqual(new Set(to));
        }
      }
  },
);

test('one card by weaves alone takes as many as the shortest row, in every size', () => {
  for (let size = 2; size <= 64; size += 3)
    for (let from = 1; from <= size; from += 4)
      for (let to = 1; to <= size; to++)
        expect(planPlaces({ size, wanted: [{ from, to }], cuts: false })?.length).toBe(
          weavePath(size, from, to)?.length,
        );
});

test.each([true, false])('two to five cards in every size, cuts %s: the row leads there', (cuts) => {
  const rng = seededRng(11);
  let rows = 0;
  for (let size = 2; size <= 64; size++)
    for (let count = 2; count <= Math.min(size, cuts ? 5 : 4); count++) {
      const to = somePlaces(size, count, rng);
      const wish = { size, wanted: wantedOf(somePlaces(size, count, rng), to), cuts };
      const row = planPlaces(wish);
      if (!row) continue;
      rows++;
      expect(endsOf(wish, row)).toEqual(to);
    }
  expect(rows).toBeGreaterThan(cuts ? 100 : 50);
});

test('mirror pairs stay mirror pairs: weaves alone part none, a cut may', () => {
  const wanted = [
    { from: 5, to: 10 },
    { from: 48, to: 20 },
  ];
  expect(planPlaces({ size: 52, wanted, cuts: false })).toBeUndefined();
  expect(planPlaces({ size: 52, wanted, cuts: true })).toBeDefined();
});

test.each<[string, Wanted[]]>([
  ['no card', []],
  ['six cards', wantedOf([1, 2, 3, 4, 5, 6], [2, 3, 4, 5, 6, 7])],
  ['one card twice', wantedOf([3, 3], [4, 5])],
  ['two cards at one place', wantedOf([3, 4], [5, 5])],
  ['a place beyond the pack', wantedOf([1], [53])],
  ['place 0', wantedOf([0], [5])],
  ['half a place', wantedOf([2], [2.5])],
])('there is no row for %s', (_, wanted) => {
  expect(planPlaces({ size: 52, wanted, cuts: true })).toBeUndefined();
});

test('nothing is done where all lies there; of equals the fewest weaves', () => {
  expect(planPlaces({ size: 52, wanted: wantedOf([7, 9], [7, 9]), cuts: true })).toEqual([]);
  // One place up is one cut, and never a row of weaves as dear.
  for (let round = 0, rng = seededRng(2); round < 20; round++) {
    const by = 1 + randomInt(rng, 51);
    const from = somePlaces(52, 3, rng);
    const to = from.map((place) => ((place - 1 + 52 - by) % 52) + 1);
    expect(planPlaces({ size: 52, wanted: wantedOf(from, to), cuts: true })).toEqual([
      { kind: 'cut', count: by },
    ]);
  }
});

/**
 * How long the shortest row of weaves and cuts from some places to any others is, and how many weaves it has at least, 64 a
 * move and one a weave: level by level over all states, each move looked up in a pack that was moved.
 */
const lengthsFrom = (size: number, from: readonly number[]): Int16Array => {
  const home = packOf(size);
  const goes = [weave(home, 'in'), weave(home, 'out'), ...home.slice(1).map((count) => cut(home, count))].map(
    (after) => Uint8Array.from(home, (card) => after.indexOf(card)),
  );
  const lengths = new Int16Array(size ** from.length).fill(0x7fff);
  const numberOf = (places: readonly number[]): number =>
    places.reduce((number, at) => number * size + at, 0);
  let edge = [from.map((place) => place - 1)];
  lengths[numberOf(edge[0])] = 0;
  while (edge.length > 0) {
    const next: number[][] = [];
    for (const places of edge) {
      const length = lengths[numberOf(places)];
      for (let move = 0; move < goes.length; move++) {
        const to = places.map((place) => goes[move][place]);
        const [number, then] = [numberOf(to), length + 64 + (move < 2 ? 1 : 0)];
        if (lengths[number] <= then) continue;
        // Those that are met first on a level may come with fewer weaves later on it.
        if (lengths[number] >> 6 !== then >> 6) next.push(to);
        lengths[number] = then;
      }
    }
    edge = next;
  }
  return lengths;
};

test('three cards of 52, cut and woven: as short as trying everything, with as few weaves', () => {
  const rng = seededRng(6);
  const from = somePlaces(52, 3, rng);
  const lengths = lengthsFrom(52, from);
  for (let round = 0; round < 200; round++) {
    const to = somePlaces(52, 3, rng);
    const wish = { size: 52, wanted: wantedOf(from, to), cuts: true };
    const row = planPlaces(wish) ?? [];
    expect(endsOf(wish, row)).toEqual(to);
    const number = to.reduce((sum, place) => sum * 52 + place - 1, 0);
    expect(64 * row.length + row.filter(({ kind }) => kind === 'weave').length).toBe(lengths[number]);
  }
});

test.each([65, 66, 70, 101])(
  'two cards in a pack of %d, cut and woven: as cheap as trying everything',
  (size) => {
    const rng = seededRng(size);
    const from = somePlaces(size, 2, rng);
    const costs = everyCost(size, from, 1);
    const reached = [...costs.keys()];
    for (let round = 0; round < 60; round++) {
      const to = reached[randomInt(rng, reached.length)].split(',').map(Number);
      const row = planPlaces({ size, wanted: wantedOf(from, to), cuts: true });
      expect([to, row && costOf(row, 1)]).toEqual([to, costs.get(to.join())]);
      expect(endsOf({ size, wanted: wantedOf(from, to), cuts: true }, row ?? [])).toEqual(to);
    }
  },
);

test.each<[number, number[], number[], number]>([
  [86, [54, 69, 18], [35, 6, 60], 5],
  [98, [36, 79, 38], [40, 94, 56], 6],
  [84, [18, 22, 25], [19, 52, 76], 4],
  [80, [68, 62, 28, 43], [61, 49, 62, 12], 3],
  [106, [24, 62], [33, 20], 5],
  [88, [22, 29], [84, 22], 4],
])(
  'in a pack of %d, more than 64 cards, a row that is known to lead there is found',
  (size, from, to, most) => {
    const wish = { size, wanted: wantedOf(from, to), cuts: true };
    const row = planPlaces(wish);
    expect(row && endsOf(wish, row)).toEqual(to);
    expect(row?.length ?? Infinity).toBeLessThanOrEqual(most);
  },
);
