import faro from '../../test/vectors/faro.json';
import { weavesToPlace } from '../moves/topToPlace';
import { weave, WeaveKind } from '../moves/weave';
import { weavePath, weavePaths } from './weavePath';

const packOf = (size: number): number[] => Array.from({ length: size }, (_, index) => index);
const KINDS: readonly WeaveKind[] = ['in', 'out'];

/** Where a weave takes a card, by the formulas for an index from 0. */
const moved = (place: number, kind: WeaveKind, size: number): number => {
  const index = place - 1;
  if (size % 2 === 1) return ((2 * index + (kind === 'in' ? 1 : 0)) % size) + 1;
  if (kind === 'in') return ((2 * index + 1) % (size + 1)) + 1;
  return index === size - 1 ? size : ((2 * index) % (size - 1)) + 1;
};

test.each(faro.shortest)('$size cards, $from to $to: $length weaves', ({ size, from, to, length }) => {
  expect(weavePath(size, from, to)).toHaveLength(length);
});

test('every size from 1 to 64, every place of the small ones: the rows lead there, and none is shorter', () => {
  for (let size = 1; size <= 64; size++)
    for (let from = 1; from <= size; from += size > 16 ? 5 : 1) {
      // All places that are reached by one weave more, forwards.
      const reached = new Map([[from, 0]]);
      let edge = [from];
      for (let steps = 1; edge.length > 0; steps++) {
        edge = edge.flatMap((place) => KINDS.map((kind) => moved(place, kind, size)));
        edge = [...new Set(edge)].filter((place) => !reached.has(place));
        for (const place of edge) reached.set(place, steps);
      }
      for (let to = 1; to <= size; to++) {
        const row = weavePath(size, from, to);
        if (row?.length !== reached.get(to)) throw new Error(`${size}: ${from} to ${to} is ${row?.join()}`);
        const end = row?.reduce((place, kind) => moved(place, kind, size), from);
        if (row && end !== to) throw new Error(`${size}: ${from} to ${to} ends at ${end}`);
      }
    }
});

test.each([2, 7, 10, 12, 13])(
  'all the shortest rows of %i cards, found by trying every row on a pack',
  (size) => {
    for (let from = 1; from <= size; from++)
      for (let to = 1; to <= size; to++) {
        const length = weavePath(size, from, to)?.length ?? 0;
        const rows = Array.from({ length: 2 ** length }, (_, bits) =>
          Array.from({ length }, (_, digit): WeaveKind => KINDS[(bits >> (length - 1 - digit)) & 1]),
        ).filter((row) => row.reduce<readonly number[]>(weave, packOf(size))[to - 1] === from - 1);
        expect(weavePaths(size, from, to)).toEqual(rows);
      }
  },
);

test('from the top the binary row is as short as any; outside the pack there is none', () => {
  for (let size = 2; size <= 64; size++)
    for (let to = 1; to <= size; to++) expect(weavePath(size, 1, to)).toHaveLength(weavesToPlace(to).length);
  for (const [from, to] of [
    [0, 3],
    [3, 53],
    [1.5, 2],
    [NaN, 1],
  ])
    expect([weavePath(52, from, to), weavePaths(52, from, to)]).toEqual([undefined, []]);
});
