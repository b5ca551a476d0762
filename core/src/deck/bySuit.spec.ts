import { bySuit } from './bySuit';
import { secondOf } from './card';
import { numberOrder } from './order';
import { seededRng, shuffled } from './rng';

test('each card stands once, by suit from ace to king, what has no place of its own behind', () => {
  const pack = shuffled([...numberOrder(), 52, 53, secondOf(7), secondOf(30)], seededRng(3));
  const rows = bySuit(pack);
  expect(rows.flat().sort((a, b) => a - b)).toEqual([...pack].sort((a, b) => a - b));
  expect(rows.slice(0, 4).map((row) => [row[0], row.length])).toEqual([
    [39, 13],
    [26, 13],
    [0, 13],
    [13, 13],
  ]);
  for (const row of rows.slice(0, 4)) expect(row).toEqual([...row].sort((a, b) => a - b));
  expect(rows[4]).toEqual(pack.filter((card) => card > 51));
  expect(bySuit([5, 3])).toEqual([[3, 5]]);
  expect(bySuit([])).toEqual([]);
});
