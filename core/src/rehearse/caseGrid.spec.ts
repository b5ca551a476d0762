import { runJob } from '../job/job';
import { Procedure } from '../procedure/procedure';
import { caseGrid, clearestAxes, gridRows } from './caseGrid';
import { casesOf } from './cases';
import { sayShare } from './sayProof';
import { CaseTable, STUDY } from './study';
import { WORKED } from './worked/worked';

const tableOf = (procedure: Procedure): CaseTable => {
  const { cases } = runJob(STUDY, { procedure });
  if (!cases) throw new Error('no table');
  return cases;
};
const worked = (name: string): Procedure =>
  (WORKED.find(({ procedure }) => procedure.name === name) ?? WORKED[0]).procedure;
const RANK = { held: 0, outs: 1, failed: 2 } as const;

test.each(['Two cuts and a packet of numbers', 'Four heaps and their aces, any size', 'Dealt twice'])(
  '%s: each cell shows the worst of its cases, and one that ends so',
  (name) => {
    const procedure = worked(name);
    const { cases = [] } = casesOf(procedure) ?? {};
    const table = tableOf(procedure);
    const down = table.names.length > 1 ? table.names.length - 1 : undefined;
    const { cells } = caseGrid(table, 0, down);
    for (const { column, row, end, values } of cells) {
      const inside = cases.filter(
        (each) => each.values[0] === column && (down === undefined || each.values[down] === row),
      );
      const worst = inside.reduce((most, each) => Math.max(most, RANK[each.end]), 0);
      expect(RANK[end]).toBe(worst);
      expect(inside.find((each) => each.end === end)?.values).toEqual(values);
    }
    expect(new Set(cells.map(({ column, row }) => `${column} ${row}`)).size).toBe(cells.length);
  },
);

test('what failed before a choice stands at each of its values', () => {
  const procedure: Procedure = {
    name: 'Early',
    steps: [
      { do: 'choose', name: 'a', from: 0, to: 2 },
      { do: 'claim', that: { less: [0, 'a'] } },
      { do: 'choose', name: 'b', from: 1, to: 3 },
    ],
  };
  const grid = caseGrid(tableOf(procedure), 0, 1);
  expect(gridRows(grid)).toEqual([1, 2, 3].map((row) => ({ row, held: '1 to 2', outs: '–', failed: '0' })));
  expect(grid.cells.find(({ column }) => column === 0)?.values).toEqual([0]);
});

test('as a table, values in a row are taken together', () => {
  const rows = gridRows(caseGrid(tableOf(worked('Two cuts and a packet of numbers')), 0, 1));
  expect(rows[28]).toEqual({ row: 30, held: '3 to 24', outs: '1 to 2, 25 to 29', failed: '–' });
});

test('the clearest axes are those of which the rule speaks', () => {
  const table = tableOf(worked('Four heaps and their aces, any size'));
  expect(clearestAxes(table).map((index) => table.names[index ?? 0])).toContain('second heap');
  expect(clearestAxes(tableOf(worked('Dealt twice')))).toEqual([0, undefined]);
});

test.each([
  [0, '0 %'],
  [1, '100 %'],
  [0.5, '50.0 %'],
  [0.9342, '93.4 %'],
  [0.0000644, '0.0064 %'],
  [0.9999356, '99.994 %'],
  [0.99998, '99.998 %'],
])('%d is said as %s', (share, text) => {
  expect(sayShare(share)).toBe(text);
});
