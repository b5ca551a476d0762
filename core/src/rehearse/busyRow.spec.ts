import fc from 'fast-check';
import { sayProblem } from '../deck/problem';
import { BusyHeap, BusyMove, busyProcedure, busyRow, BusyWish, endsOnTop, heapsAfter } from './busyRow';
import { prove } from './prove';
import { readProcedure } from './readProcedure';

const rowOf = (wish: BusyWish): readonly BusyMove[] => {
  const outcome = busyRow(wish);
  if (!outcome.ok) throw new Error(sayProblem(outcome.problems[0]));
  return outcome.row.moves;
};
const whyNot = (wish: BusyWish): string => {
  const outcome = busyRow(wish);
  return outcome.ok ? '' : sayProblem(outcome.problems[0]);
};

/** The heaps behind a row, done with named cards that are picked up one by one: by heap, what lies on top. */
const doneByHand = (heaps: readonly BusyHeap[], moves: readonly BusyMove[]): (string | undefined)[] => {
  const lying = heaps.map(({ cards, wanted }, heap) => {
    const pile: string[] = [];
    for (let depth = cards; depth >= 1; depth--)
      pile.push(`${wanted.includes(depth) ? 'wanted' : 'other'} ${heap + 1}.${depth}`);
    return pile;
  });
  for (const { from, to } of moves) {
    const card = lying[from - 1].pop();
    if (card === undefined) throw new Error(`heap ${from} is empty`);
    lying[to - 1].push(card);
  }
  return lying.map((pile) => pile.at(-1));
};

const anyHeaps = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 13 }), fc.integer({ min: 0, max: 13 })), {
    minLength: 3,
    maxLength: 6,
  })
  .map((rows) =>
    rows.map(([cards, depth]): BusyHeap => ({ cards, wanted: depth > 0 && depth <= cards ? [depth] : [] })),
  )
  .filter((heaps) => heaps.some(({ wanted }) => wanted.length > 0));

test('every row is as long as asked, ends with the wanted cards on top, takes no move back and uses every heap', () => {
  let rows = 0;
  fc.assert(
    fc.property(anyHeaps, fc.integer({ min: 6, max: 25 }), fc.nat(1000), (heaps, more, seed) => {
      const plain = busyRow({ heaps, moves: 0, seed });
      const least = plain.ok ? 0 : Number(/(\d+) moves/.exec(plain.problems[0].what)?.[1] ?? 0);
      const wish = { heaps, moves: least + more, seed };
      const outcome = busyRow(wish);
      if (!outcome.ok) {
        expect(outcome.problems[0].what).toContain('No row of exactly');
        return;
      }
      rows++;
      const { moves } = outcome.row;
      expect(moves).toHaveLength(wish.moves);
      const wanted = heaps.reduce((sum, heap) => sum + heap.wanted.length, 0);
      const tops = doneByHand(heaps, moves);
      expect(tops.filter((top) => top?.startsWith('wanted'))).toHaveLength(wanted);
      expect(endsOnTop(heaps, moves)).toBe(true);
      moves.forEach(({ from, to }, index) => {
        expect(from).not.toBe(to);
        expect(moves.at(index + 1)).not.toEqual({ from: to, to: from });
      });
      expect(new Set(moves.flatMap(({ from, to }) => [from, to])).size).toBe(heaps.length);
      expect(
        heapsAfter(heaps, moves).map(
          (heap) =>
            heap.slice(0, 1).map((top) => `${top.wanted ? 'wanted' : 'other'} ${top.heap}.${top.depth}`)[0],
        ),
      ).toEqual(tops);
    }),
    { numRuns: 60, seed: 5 },
  );
  // Nearly always there is one.
  expect(rows).toBeGreaterThan(55);
});

const FOUR: readonly BusyHeap[] = [3, 5, 2, 6].map((depth) => ({ cards: 13, wanted: [depth] }));

test('the same seed gives the same row, and others wander otherwise', () => {
  const rows = Array.from({ length: 12 }, (_, seed) =>
    JSON.stringify(rowOf({ heaps: FOUR, moves: 26, seed })),
  );
  expect(rows[3]).toBe(JSON.stringify(rowOf({ heaps: FOUR, moves: 26, seed: 3 })));
  expect(new Set(rows).size).toBe(12);
});

test('several wanted cards in one heap, and heaps with none', () => {
  const heaps: readonly BusyHeap[] = [
    { cards: 13, wanted: [2, 5, 9] },
    { cards: 1, wanted: [] },
    { cards: 3, wanted: [3] },
    { cards: 5, wanted: [] },
  ];
  expect(
    doneByHand(heaps, rowOf({ heaps, moves: 20, seed: 1 })).every((top) => top?.startsWith('wanted')),
  ).toBe(true);
});

test('as a procedure it is proved', () => {
  const cards = ['AC', 'AD', 'AH', 'AS'];
  for (const seed of [1, 2, 3]) {
    const moves = rowOf({ heaps: FOUR, moves: 24, seed });
    const read = readProcedure(busyProcedure('Aces up', FOUR, moves, cards));
    if (!read.ok) throw new Error(sayProblem(read.problems[0]));
    expect(prove(read.procedure)).toMatchObject({ complete: true, cases: 1, held: 1, failed: 0 });
    // One move less, and it does not hold.
    const short = busyProcedure('Aces up', FOUR, moves.slice(0, -1), cards);
    expect(prove(short)).toMatchObject({ failed: 1 });
  }
  // A heap that is left empty has no top, and nothing fails for it.
  const bare: readonly BusyHeap[] = [
    { cards: 1, wanted: [] },
    { cards: 2, wanted: [2] },
    { cards: 1, wanted: [] },
  ];
  expect(
    prove(
      busyProcedure(
        'x',
        bare,
        [
          { from: 2, to: 3 },
          { from: 1, to: 3 },
        ],
        ['AC'],
      ),
    ),
  ).toMatchObject({ held: 1 });
});

test('what cannot be is refused with what to do', () => {
  const heaps = FOUR;
  for (const [wish, says] of [
    [{ heaps, moves: 5, seed: 1 }, /takes 17 moves\. Ask for 17 or more/],
    [{ heaps, moves: 500, seed: 1 }, /Take 120 at most/],
    [{ heaps: heaps.slice(0, 2), moves: 20, seed: 1 }, /Take 3 to 6/],
    [{ heaps: heaps.map(({ cards }) => ({ cards, wanted: [] })), moves: 20, seed: 1 }, /No card is wanted/],
    [{ heaps: heaps.map(() => ({ cards: 3, wanted: [4] })), moves: 20, seed: 1 }, /Heap 1 has 3 cards/],
    [{ heaps: heaps.map(() => ({ cards: 3, wanted: [1, 2] })), moves: 20, seed: 1 }, /More cards are wanted/],
  ] as const)
    expect(whyNot(wish)).toMatch(says);
});
