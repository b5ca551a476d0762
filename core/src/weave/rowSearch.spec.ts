import fc from 'fast-check';
import { numberOrder, Order, sameOrder } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { mateOf } from '../deck/card';
import { applyMove, Move } from '../moves/move';
import { parseMovesText } from '../moves/moveText';
import { weave } from '../moves/weave';
import { findRoute, findRow, isGoal, LONGEST_MATES, RowGoal, RowWish, searchRow } from './rowSearch';

const isCut = ({ kind }: Move): boolean => kind === 'cut';
const weights = (moves: readonly Move[]): number => moves.filter((move) => !isCut(move)).length;

const anyStep = (size: number): fc.Arbitrary<readonly Move[]> =>
  fc.tuple(
    fc.record({ kind: fc.constant('cut' as const), count: fc.integer({ min: 0, max: size - 1 }) }),
    fc.constantFrom<Move>(
      { kind: 'weave', weave: 'out' },
      { kind: 'weave', weave: 'in' },
      { kind: 'unweave', weave: 'in' },
      { kind: 'reverse packet', from: 1, to: size },
    ),
  );

test('a row of up to two weaves with cuts is found again, or a shorter one, and ends where it should', () => {
  fc.assert(
    fc.property(fc.array(anyStep(52), { maxLength: 2 }), fc.integer(), (steps, seed) => {
      const from = shuffled(numberOrder(), seededRng(seed));
      const to = steps.flat().reduce(applyMove, from);
      const route = findRoute(from, to, 2);
      expect(route && sameOrder(route.reduce(applyMove, from), to)).toBe(true);
      expect(weights(route ?? [])).toBeLessThanOrEqual(steps.length);
    }),
    { numRuns: 8 },
  );
});

test('three and four weaves of a small pack: the route has no more, and is as short as breadth first', () => {
  const size = 8;
  const home = Array.from({ length: size }, (_, index) => index);
  const distances = breadthFirst(home, size, 4);
  fc.assert(
    fc.property(fc.array(anyStep(size), { minLength: 3, maxLength: 4 }), (steps) => {
      const to = steps.flat().reduce(applyMove, home);
      const route = findRoute(home, to, 4);
      expect(route && sameOrder(route.reduce(applyMove, home), to)).toBe(true);
      expect(weights(route ?? [])).toBe(distances.get(turnedKey(to)));
    }),
    { numRuns: 40 },
  );
});

/** The order turned so that card 0 is on top, as text. */
const turnedKey = (order: Order): string => {
  const at = order.indexOf(0);
  return [...order.slice(at), ...order.slice(0, at)].join(',');
};

/** The fewest weaves, reverse weaves and whole reversals to each order, by trying everything. */
const breadthFirst = (home: Order, size: number, depth: number): Map<string, number> => {
  const steps: Move[] = [
    { kind: 'weave', weave: 'out' },
    { kind: 'weave', weave: 'in' },
    { kind: 'unweave', weave: 'out' },
    { kind: 'unweave', weave: 'in' },
    { kind: 'reverse packet', from: 1, to: size },
  ];
  const distances = new Map([[turnedKey(home), 0]]);
  let layer = [home];
  for (let moves = 1; moves <= depth; moves++) {
    const grown: Order[] = [];
    for (const order of layer)
      for (let count = 0; count < size; count++)
        for (const step of steps) {
          const after = applyMove(applyMove(order, { kind: 'cut', count }), step);
          if (distances.has(turnedKey(after))) continue;
          distances.set(turnedKey(after), moves);
          grown.push(after);
        }
    layer = grown;
  }
  return distances;
};

const ALL = { weaves: true, unweaves: true, reversals: true };

/** The least number of moves to every order of a small pack, cuts free, counted or not allowed, by trying everything. */
const everyRow = (
  { from, kinds, cuts }: RowWish,
  most: number,
): { readonly order: Order; readonly moves: number }[] => {
  const size = from.length;
  const steps: Move[] = [
    ...(kinds.weaves ? (['in', 'out'] as const).map((weave): Move => ({ kind: 'weave', weave })) : []),
    ...(kinds.unweaves ? (['in', 'out'] as const).map((weave): Move => ({ kind: 'unweave', weave })) : []),
    ...(kinds.reversals ? [{ kind: 'reverse packet', from: 1, to: size } as const] : []),
  ];
  const turns = Array.from({ length: size - 1 }, (_, index): Move => ({ kind: 'cut', count: index + 1 }));
  const reached = new Map<string, { order: Order; moves: number }>();
  const add = (order: Order, moves: number): Order[] => {
    if (reached.has(order.join())) return [];
    reached.set(order.join(), { order, moves });
    return [order];
  };
  const withTurns = (order: Order, moves: number): Order[] => [
    ...add(order, moves),
    ...(cuts === 'free' ? turns.flatMap((turn) => add(applyMove(order, turn), moves)) : []),
  ];
  let layer = withTurns(from, 0);
  for (let moves = 1; layer.length > 0 && moves <= most; moves++)
    layer = layer.flatMap((order) =>
      [...steps, ...(cuts === 'counted' ? turns : [])].flatMap((step) =>
        withTurns(applyMove(order, step), moves),
      ),
    );
  return [...reached.values()];
};

const GOALS: readonly RowGoal[] = [
  { kind: 'colours' },
  { kind: 'suits' },
  { kind: 'mates' },
  { kind: 'together', cards: [0, 13, 26] },
];

describe.each(['free', 'counted', 'none'] as const)('cuts %s', (cuts) => {
  test.each([
    [7, 9, ALL],
    [8, 9, { weaves: true, unweaves: false, reversals: false }],
    [9, 3, { weaves: false, unweaves: true, reversals: true }],
    [12, 2, { weaves: true, unweaves: true, reversals: false }],
  ])(
    '%i cards: goals are reached in as few moves as by trying every row of up to %i',
    (size, most, kinds) => {
      const rng = seededRng(size);
      // As many of each suit as there can be, mates among them.
      const cards = Array.from({ length: size }, (_, index) => (index % 4) * 13 + Math.floor(index / 4));
      const wish: RowWish = {
        from: shuffled(cards, rng),
        goal: { kind: 'colours' },
        kinds,
        cuts,
        longest: most,
      };
      const all = everyRow(wish, most);
      const some = shuffled(all, rng).slice(0, 12);
      const goals = [...GOALS, ...some.map(({ order }): RowGoal => ({ kind: 'order', to: order }))];
      for (const goal of goals) {
        const least = Math.min(
          ...all.flatMap(({ order, moves }) => (isGoal(order, goal) ? [moves] : [])),
          Infinity,
        );
        const { row, proved } = findRow({ ...wish, goal });
        if (row) {
          expect(isGoal(row.reduce(applyMove, wish.from), goal)).toBe(true);
          expect(cuts === 'free' ? weights(row) : row.length).toBe(least);
          if (cuts === 'none') expect(row.some(isCut)).toBe(false);
        } else {
          expect(least).toBeGreaterThan(proved);
          expect(proved).toBe(goal.kind === 'mates' ? Math.min(most, LONGEST_MATES) : most);
        }
      }
    },
  );
});

test('five and six moves of a whole pack are found again, or fewer', () => {
  const from = shuffled(numberOrder(), seededRng(4));
  const text =
    'cut 3, in, cut 7, out, cut 20, reverse 1 26, cut 9, unweave in, cut 5, reverse 1 13, cut 44, in, cut 2';
  const { moves } = parseMovesText(text, from);
  for (const length of [5, 6]) {
    const part = moves.slice(0, 2 * length);
    const to = part.reduce(applyMove, from);
    const { row, proved } = findRow({
      ...{ from, goal: { kind: 'order', to }, kinds: ALL, cuts: 'free', longest: length },
    });
    expect(row && sameOrder(row.reduce(applyMove, from), to)).toBe(true);
    expect(weights(row ?? [])).toBe(proved);
    expect(proved).toBeLessThanOrEqual(length);
  }
});

test('from the weaves that mix a pack by colours and suits, the row back', () => {
  const sorted = numberOrder();
  for (const [text, goal, most] of [
    ['in, cut 5, out', 'colours', 2],
    ['out, cut 9, in', 'suits', 2],
    ['in, cut 3, reverse 1 26', 'mates', 3],
  ] as const) {
    const from = parseMovesText(text, sorted).moves.reduce(applyMove, goal === 'mates' ? MATED : sorted);
    const { row } = findRow({ ...{ from, goal: { kind: goal }, kinds: ALL, cuts: 'free', longest: most } });
    expect(row && isGoal(row.reduce(applyMove, from), { kind: goal })).toBe(true);
    expect(weights(row ?? [])).toBeLessThanOrEqual(most);
  }
});

/** Every card beside its mate. */
const MATED: Order = Array.from({ length: 26 }, (_, index) => [index, mateOf(index)]).flat();

test('packs with jokers and second copies, and of other sizes', () => {
  const odd = [...numberOrder().slice(0, 30), 52, 60, 80];
  const to = parseMovesText('cut 4, out, cut 9, reverse 1 13, cut 20, in', odd).moves.reduce(applyMove, odd);
  const row = findRoute(odd, to, 4);
  expect(row && sameOrder(row.reduce(applyMove, odd), to)).toBe(true);
  const found = findRow({ ...{ from: to, goal: { kind: 'suits' }, kinds: ALL, cuts: 'free', longest: 3 } });
  if (found.row) expect(isGoal(found.row.reduce(applyMove, to), { kind: 'suits' })).toBe(true);
});

test('it says how far it is, and that there is no short row', () => {
  const [home, other] = [numberOrder(), shuffled(numberOrder(), seededRng(1))];
  const wish: RowWish = {
    from: home,
    goal: { kind: 'order', to: other },
    kinds: ALL,
    cuts: 'free',
    longest: 2,
  };
  expect(searchRow(wish).next()).toEqual({ done: false, value: { moves: 1, part: 0 } });
  expect(findRow(wish)).toMatchObject({ row: undefined, proved: 2 });
  expect(findRoute([1, 2, 3], [1, 2, 4])).toBeUndefined();
  expect(findRoute([1, 2, 3], [2, 3, 1])).toEqual([{ kind: 'cut', count: 1 }]);
  expect(findRoute(home, home)).toEqual([]);
  expect(
    findRow({ ...wish, kinds: { weaves: false, unweaves: false, reversals: false } }).row,
  ).toBeUndefined();
});

test('the way back to the home order, by weaves alone or to any turn of it', () => {
  const home = shuffled(numberOrder(), seededRng(6));
  const weaves = { weaves: true, unweaves: false, reversals: false };
  for (const count of [4, 6, 8]) {
    const from = Array.from({ length: count }).reduce<Order>((now) => weave(now, 'out'), home);
    const goal: RowGoal = { kind: 'order', to: home };
    const { row } = findRow({ ...{ from, goal, kinds: weaves, cuts: 'none', longest: 12 } });
    // Eight out weaves bring 52 cards back, and no row of weaves alone is shorter than what is left of them.
    expect(row).toEqual(Array.from({ length: 8 - count }, () => ({ kind: 'weave', weave: 'out' })));
    const turned = findRow({
      from,
      goal: { ...goal, turned: true },
      kinds: weaves,
      cuts: 'free',
      longest: 6,
    });
    expect(turned.row ? isGoal(turned.row.reduce(applyMove, from), { ...goal, turned: true }) : true).toBe(
      true,
    );
    if (8 - count <= 6) expect(weights(turned.row ?? [])).toBeLessThanOrEqual(8 - count);
    const uncut = findRow({
      from,
      goal: { ...goal, turned: true },
      kinds: weaves,
      cuts: 'none',
      longest: 12,
    });
    expect(uncut.row?.length).toBeLessThanOrEqual(8 - count);
  }
});
