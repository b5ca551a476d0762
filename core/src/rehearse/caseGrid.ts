import { End } from './cases';
import { CaseTable, ENDS, NOT_CHOSEN } from './study';

export type CellEnd = End;

/** All cases with the same values of two choices, or of one. */
export interface Cell {
  readonly column: number;
  /** 0 where there is one choice only. */
  readonly row: number;
  /** How the worst of them ends. */
  readonly end: CellEnd;
  /** The choices of the first that ends so. */
  readonly values: readonly number[];
}

/** Every case by one choice or two. */
export interface Grid {
  readonly columns: readonly number[];
  readonly rows: readonly number[];
  readonly cells: readonly Cell[];
}

/**
 * Lays all cases out by the values of a choice, or of two. A cell shows how the worst of its cases ends; what ended
 * before a choice was made stands at each of its values.
 *
 * @param across @param down the choices, as indices of the table's names.
 */
export const caseGrid = (
  { names, values, ends }: CaseTable,
  across: number,
  down: number | undefined,
): Grid => {
  const width = names.length;
  const [columns, rows] = [new Set<number>(), new Set<number>(down === undefined ? [0] : [])];
  const cells = new Map<string, { column: number; row: number; end: number; at: number }>();
  const note = (column: number, row: number, end: number, at: number): void => {
    const key = `${column} ${row}`;
    const cell = cells.get(key);
    if (!cell) cells.set(key, { column, row, end, at });
    else if (end > cell.end) Object.assign(cell, { end, at });
  };
  const early: { column: number; end: number; at: number }[] = [];
  for (let index = 0; index < ends.length; index++) {
    const column = values[index * width + across];
    if (column === NOT_CHOSEN) continue;
    columns.add(column);
    const row = down === undefined ? 0 : values[index * width + down];
    if (row === NOT_CHOSEN) early.push({ column, end: ends[index], at: index });
    else {
      rows.add(row);
      note(column, row, ends[index], index);
    }
  }
  for (const { column, end, at } of early) for (const row of rows) note(column, row, end, at);
  const valuesAt = (at: number): readonly number[] =>
    [...values.subarray(at * width, (at + 1) * width)].filter((value) => value !== NOT_CHOSEN);
  const sorted = (found: ReadonlySet<number>): readonly number[] => [...found].sort((a, b) => a - b);
  return {
    columns: sorted(columns),
    rows: sorted(rows),
    cells: [...cells.values()].map(({ column, row, end, at }) => ({
      ...{ column, row, end: ENDS[end], values: valuesAt(at) },
    })),
  };
};

/** `1 to 4, 9`: values in a row taken together. */
const runs = (values: readonly number[]): string => {
  const found: [number, number][] = [];
  for (const value of [...values].sort((a, b) => a - b)) {
    const last = found.at(-1);
    if (last && value === last[1] + 1) last[1] = value;
    else found.push([value, value]);
  }
  return found.map(([from, to]) => (from === to ? `${from}` : `${from} to ${to}`)).join(', ');
};

/** The grid as a table: for each row, at which values across the cases end so. */
export const gridRows = ({
  rows,
  cells,
}: Grid): readonly (Readonly<Record<End, string>> & { readonly row: number })[] =>
  rows.map((row) => {
    const at = (end: End): string =>
      runs(cells.filter((cell) => cell.row === row && cell.end === end).map(({ column }) => column)) || '–';
    return { row, held: at('held'), outs: at('outs'), failed: at('failed') };
  });

/**
 * The two choices by which the cells are told apart best, as indices of the table's names: as few as can be hold cases
 * that end in different ways. One of them alone where there is one.
 */
export const clearestAxes = (table: CaseTable): readonly [number, number | undefined] => {
  const all = table.names.map((_, index) => index);
  if (all.length < 2) return [0, undefined];
  const pairs = all.flatMap((down) => all.slice(0, down).map((across) => [across, down] as const));
  const mixed = pairs.map((pair) => ({ pair, share: mixedShare(table, ...pair) }));
  return mixed.reduce((best, each) => (each.share < best.share ? each : best)).pair;
};

/** The share of the cells in which cases end in different ways. */
const mixedShare = ({ names, values, ends }: CaseTable, across: number, down: number): number => {
  const found = new Map<number, number>();
  let mixed = 0;
  for (let index = 0; index < ends.length; index++) {
    const [a, b] = [values[index * names.length + across], values[index * names.length + down]];
    const key = a * 2 ** 22 + b;
    const before = found.get(key);
    if (before === undefined) found.set(key, ends[index]);
    else if (before !== ends[index] && before !== MIXED) {
      found.set(key, MIXED);
      mixed++;
    }
  }
  return mixed / Math.max(1, found.size);
};

/** Instead of an end: there are several. */
const MIXED = 255;
