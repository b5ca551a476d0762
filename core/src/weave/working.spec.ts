import { weave, WeaveKind } from '../moves/weave';
import { weavesToPlace } from '../moves/topToPlace';
import { binaryLines, workedWeaves } from './working';

test('every weave of every size is worked out to the place where its card lies', () => {
  for (let size = 2; size <= 64; size++)
    for (const kind of ['in', 'out'] as const) {
      const after = weave(
        Array.from({ length: size }, (_, index) => index),
        kind,
      );
      for (let from = 1; from <= size; from++) {
        const [line] = workedWeaves(size, from, [kind]);
        const [, nth, less] = /2 × (\d+)( − 1)? = /.exec(line.says) ?? [];
        expect(2 * Number(nth) - (less ? 1 : 0)).toBe(line.to);
        expect(after[line.to - 1]).toBe(from - 1);
      }
    }
});

test('a row is followed from place to place', () => {
  const row: WeaveKind[] = ['in', 'out', 'in'];
  const lines = workedWeaves(52, 40, row);
  expect(lines.map(({ from, to }) => [from, to])).toEqual([
    [40, 27],
    [27, 2],
    [2, 4],
  ]);
  expect(lines[0].says).toBe('number 14 of the lower part: 2 × 14 − 1 = 27');
  expect(workedWeaves(52, 40, [])).toEqual([]);
});

test('the binary sum, read from its end, is the row for the top card', () => {
  for (let place = 1; place <= 108; place++) {
    const lines = binaryLines(place);
    expect(lines.map((line) => line.weave).reverse()).toEqual(weavesToPlace(place));
    for (const [index, { number, left }] of lines.entries())
      expect(number).toBe(2 * (lines.at(index + 1)?.number ?? 0) + left);
  }
});
