import fc from 'fast-check';
import { seededRng } from '../deck/rng';
import { BusyHeap, BusyMove, busyRow, endsOnTop } from './busyRow';
import { canMove, heapsNow, movesThatGo, nextLength, sayDepths, strayMoves, TRACKED } from './tracking';

/** Where a wanted card lies, followed by itself alone: its heap and its depth; nothing of the other cards is looked at. */
const follow = (heap: number, depth: number, moves: readonly BusyMove[]): [number, number] => {
  for (const { from, to } of moves)
    if (heap === from) {
      if (depth > 1) depth--;
      else heap = to;
    } else if (heap === to) depth++;
  return [heap, depth];
};

const anyHeaps = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 9 }), fc.uniqueArray(fc.integer({ min: 1, max: 9 }))), {
    minLength: 3,
    maxLength: 6,
  })
  .map((rows) =>
    rows.map(([cards, depths]): BusyHeap => ({
      cards,
      wanted: depths.filter((depth) => depth <= cards).sort((a, b) => a - b),
    })),
  );
const anyMoves = fc.array(
  fc.record({ from: fc.integer({ min: 0, max: 7 }), to: fc.integer({ min: 0, max: 7 }) }),
  { maxLength: 30 },
);

test('each wanted card lies where it is followed to, by itself; what cannot be done ends the row', () => {
  fc.assert(
    fc.property(anyHeaps, anyMoves, (heaps, told) => {
      const moves = movesThatGo(heaps, told);
      const now = heapsNow(heaps, moves);
      const next = told.at(moves.length);
      if (next) expect(canMove(now, next)).toBe(false);
      const followed = heaps.flatMap(({ wanted }, heap) =>
        wanted.map((depth) => follow(heap + 1, depth, moves).join(' at ')),
      );
      const lying = now.flatMap(({ wanted }, heap) => wanted.map((depth) => `${heap + 1} at ${depth}`));
      expect(lying.sort()).toEqual(followed.sort());
      const sizes = heaps.map(
        ({ cards }, heap) =>
          cards +
          moves.filter(({ to }) => to === heap + 1).length -
          moves.filter(({ from }) => from === heap + 1).length,
      );
      expect(now.map(({ cards }) => cards)).toEqual(sizes);
      moves.forEach((move, index) =>
        expect(canMove(heapsNow(heaps, moves.slice(0, index)), move)).toBe(true),
      );
    }),
  );
});

test('from wherever they have come to lie a row can be drawn that brings them up', () => {
  const start = [3, 5, 2, 6].map((depth): BusyHeap => ({ cards: 13, wanted: [depth] }));
  const now = heapsNow(start, strayMoves(start, 17, seededRng(4)));
  const outcome = busyRow({ heaps: now, moves: 40, seed: 1 });
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  expect(endsOnTop(now, outcome.row.moves)).toBe(true);
});

test('stray moves go, none takes back the one before, and they end where none is left', () => {
  fc.assert(
    fc.property(anyHeaps, fc.integer({ min: 1, max: 25 }), fc.nat(99), (heaps, count, seed) => {
      const moves = strayMoves(heaps, count, seededRng(seed));
      expect(movesThatGo(heaps, moves)).toEqual(moves);
      const isEmpty = heaps.every(({ cards }) => cards === 0);
      if (isEmpty) expect(moves).toEqual([]);
      moves.forEach(({ from, to }, index) =>
        expect([moves.at(index - 1)?.to, moves.at(index - 1)?.from].join()).not.toBe(
          index === 0 ? '' : `${from},${to}`,
        ),
      );
      // One card alone goes on and on, for it need not go back; with none there is nothing to do.
      if (!isEmpty) expect(moves).toHaveLength(count);
    }),
  );
});

test('about six of seven rows come out right, whatever length one can do', () => {
  for (const able of [9, 16, 30]) {
    const rng = seededRng(able);
    let length: number = TRACKED.first;
    let right = 0;
    for (let row = 0; row < 2000; row++) {
      // The longer beside what one can do, the likelier a miss.
      const isRight = rng() < 1 / (1 + Math.exp((length - able) / 2));
      length = nextLength(length, isRight);
      if (isRight) right++;
    }
    expect(right / 2000).toBeGreaterThan(0.78);
    expect(right / 2000).toBeLessThan(0.92);
  }
  expect([nextLength(TRACKED.most, true), nextLength(TRACKED.least, false)]).toEqual([
    TRACKED.most,
    TRACKED.least,
  ]);
});

test('it is told in words', () => {
  expect(
    sayDepths([
      { cards: 9, wanted: [3] },
      { cards: 0, wanted: [] },
      { cards: 5, wanted: [1, 4] },
      { cards: 5, wanted: [1, 2, 3] },
    ]),
  ).toBe('heap 1 at 3; heap 3 at 1 and 4; heap 4 at 1, 2, 3');
  expect(sayDepths([{ cards: 4, wanted: [] }])).toBe('none');
});
