import { numberOrder } from '../deck/order';
import { sayProblem } from '../deck/problem';
import { randomInt, seededRng } from '../deck/rng';
import { applyMove } from '../moves/move';
import {
  brokenJoins,
  evenSizes,
  gather,
  GatheredKind,
  gatherings,
  gatherMoves,
  gatherProcedure,
  Join,
  pilesAfter,
  sayGathered,
  sayJoin,
  sayLooks,
  withRest,
} from './gather';
import { prove } from './prove';
import { readProcedure } from './readProcedure';

/** Every row of joins, found by putting each pile on each other one. */
const everyRow = (count: number): Join[][] => {
  const go = (places: readonly number[]): Join[][] =>
    places.length === 1
      ? [[]]
      : places.flatMap((pile) =>
          places
            .filter((onto) => onto !== pile)
            .flatMap((onto) =>
              go(places.filter((place) => place !== pile)).map((rest) => [{ pile, onto }, ...rest]),
            ),
        );
  return go(Array.from({ length: count }, (_, index) => index + 1));
};

/** The pack itself, cut into packets of these sizes and gathered card by card. */
const gathered = (sizes: readonly number[], joins: readonly Join[]): number[] => {
  let next = 0;
  const piles = sizes.map((size) => Array.from({ length: size }, () => next++));
  let last = 0;
  for (const { pile, onto } of joins) {
    piles[onto - 1] = [...piles[pile - 1], ...piles[onto - 1]];
    piles[pile - 1] = [];
    last = onto - 1;
  }
  return piles[last];
};
const kindOf = (pack: readonly number[]): GatheredKind => {
  const follows = pack.every((card, index) => pack[(index + 1) % pack.length] === (card + 1) % pack.length);
  return !follows ? 'broken' : pack[0] === 0 ? 'as it was' : 'turned';
};

test.each([2, 3, 4, 5])('all ways to gather %i packets, done with cards', (count) => {
  const { kept, counts } = gatherings(count);
  const rows = everyRow(count);
  const rng = seededRng(count);
  const found: Record<GatheredKind, number> = { 'as it was': 0, turned: 0, broken: 0 };
  const keptRows = new Set<string>();
  for (const joins of rows) {
    const sizes = Array.from({ length: count }, () => 1 + randomInt(rng, 3));
    const kind = kindOf(gathered(sizes, joins));
    found[kind]++;
    expect(gather(count, joins)?.kind).toBe(kind);
    if (kind !== 'broken') keptRows.add(JSON.stringify(joins));
  }
  expect(counts).toEqual(found);
  expect(new Set(kept.map(({ joins }) => JSON.stringify(joins)))).toEqual(keptRows);
});

test('six packets: the counts are those of all orders and turns', () => {
  const { kept, counts } = gatherings(6);
  expect(counts).toEqual({ 'as it was': 120, turned: 600, broken: 714 * 120 });
  expect(kept).toHaveLength(720);
  const looks = kept.map(({ passes, turns }) => passes + turns);
  expect(looks).toEqual([...looks].sort((a, b) => b - a));
  expect(looks[0]).toBeGreaterThan(looks[719]);
});

test('the moves do to the pack in hand what gathering does, whatever the packets hold', () => {
  const rng = seededRng(8);
  const order = numberOrder();
  for (let round = 0; round < 300; round++) {
    const count = 2 + randomInt(rng, 5);
    const sizes: number[] = [];
    for (let left = 52; sizes.length < count;) {
      const most = left - (count - sizes.length - 1);
      const size = sizes.length === count - 1 ? left : 1 + randomInt(rng, most);
      sizes.push(size);
      left -= size;
    }
    const joins: Join[] = [];
    for (let places = sizes.map((_, index) => index + 1); places.length > 1;) {
      const pile = places[randomInt(rng, places.length)];
      const others = places.filter((place) => place !== pile);
      joins.push({ pile, onto: others[randomInt(rng, others.length)] });
      places = others;
    }
    const packets = gather(count, joins)?.packets ?? [];
    const done = gatherMoves(sizes, packets).reduce((now, move) => applyMove(now, move), order);
    expect([...done]).toEqual(gathered(sizes, joins).map((index) => order[index]));
  }
});

test('every kept way of up to four packets is proved over every cut, and a broken one fails at each', () => {
  const home = numberOrder().slice(0, 10);
  for (const count of [2, 3, 4]) {
    for (const way of gatherings(count).kept) {
      const read = readProcedure(gatherProcedure('x', home, way));
      if (!read.ok) throw new Error(sayProblem(read.problems[0]));
      const { complete, failed, held } = prove(read.procedure);
      expect({ complete, failed }).toEqual({ complete: true, failed: 0 });
      expect(held).toBe([9, 36, 84][count - 2]);
    }
    const broken = everyRow(count)
      .map((joins) => gather(count, joins))
      .filter((way) => way?.kind === 'broken');
    for (const way of broken.slice(0, 20)) {
      if (!way) continue;
      const { held, failed } = prove(gatherProcedure('x', home, way));
      expect([held, failed]).toEqual([0, [9, 36, 84][count - 2]]);
    }
  }
});

test('one that turns the order is not taken for one that leaves it', () => {
  const [turned] = gatherings(3).kept.filter(({ kind }) => kind === 'turned');
  const [asItWas] = gatherings(3).kept.filter(({ kind }) => kind === 'as it was');
  const home = numberOrder().slice(0, 8);
  // What is claimed of the one does not hold for the other.
  const steps = gatherProcedure('x', home, asItWas).steps.slice(-3);
  const mixed = gatherProcedure('x', home, turned);
  expect(prove({ ...mixed, steps: [...mixed.steps.slice(0, -3), ...steps] })).toMatchObject({ held: 0 });
});

test('packets as large as each other, and what is left for the last', () => {
  for (let size = 6; size < 60; size++)
    for (let count = 2; count <= 6; count++) {
      const sizes = evenSizes(size, count);
      expect(sizes.reduce((sum, each) => sum + each, 0)).toBe(size);
      expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      expect(withRest(sizes.slice(0, -1), size)).toEqual(sizes);
    }
  expect(withRest([40, 13], 52)).toEqual([40, 13, -1]);
  expect(
    [
      [0, 0],
      [1, 0],
      [3, 1],
      [0, 2],
      [2, 3],
    ].map(([passes, turns]) => sayLooks({ passes, turns })),
  ).toEqual([
    'goes one way, pile by pile',
    'the hand passes over a pile',
    'the hand passes over 3 piles, turns back once',
    'the hand turns back twice',
    'the hand passes over 2 piles, turns back 3 times',
  ]);
});

test('what is said of them', () => {
  expect(sayGathered([1, 2, 3])).toMatch(/every card lies where it lay/);
  expect(sayGathered([2, 3, 1])).toContain('cutting packet 1 to the bottom');
  expect(sayGathered([3, 1, 2])).toContain('cutting packets 1 to 2');
  expect(sayGathered([3, 2, 1])).toContain('3 of 3 joins');
  expect(brokenJoins([1, 3, 2, 4])).toEqual([
    [1, 3],
    [3, 2],
    [2, 4],
  ]);
  const joins = [
    { pile: 3, onto: 1 },
    { pile: 1, onto: 2 },
  ];
  expect(joins.map((join, index) => sayJoin(join, 3, joins.slice(0, index)))).toEqual([
    'Put packet 3 on packet 1.',
    'Put the pile at 1 on packet 2.',
  ]);
  expect(gather(3, joins.slice(0, 1))).toBeUndefined();
  // Places at which nothing lies any more change nothing.
  expect(pilesAfter(3, [...joins.slice(0, 1), { pile: 3, onto: 2 }]).size).toBe(2);
});
