import { End } from './cases';
import { CaseTable, ENDS, NOT_CHOSEN } from './study';

export type CellEnd = End;

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
    else if (end > cell.end || (end === cell.end && at < cell.at)) Object.assign(cell, { end, at });
  };
  const early: { column: number; row: number; end: number; at: number }[] = [];
  for (let at = 0; at < ends.length; at++) {
    const column = values[at * width + across];
    const row = down === undefined ? 0 : values[at * width + down];
    if (column !== NOT_CHOSEN) columns.add(column);
    if (row !== NOT_CHOSEN) rows.add(row);
    if (column === NOT_CHOSEN || row === NOT_CHOSEN) early.push({ column, row, end: ends[at], at });
    else note(column, row, ends[at], at);
  }
  // Of those that ended early the first of each end is enough for a cell.
  for (const each of firstOfEach(early))
    for (const column of each.column === NOT_CHOSEN ? columns : [each.column])
      for (const row of each.row === NOT_CHOSEN ? rows : [each.row]) note(column, row, each.end, each.at);
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

const firstOfEach = <Each extends { readonly column: number; readonly row: number; readonly end: number }>(
  cases: readonly Each[],
): Iterable<Each> => {
  const first = new Map<string, Each>();
  for (const each of cases) {
    const key = `${each.column} ${each.row} ${each.end}`;
    if (!first.has(key)) first.set(key, each);
  }
  return first.values();
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

/**
 * The share of the cells in which cases end in different ways; what ended before a choice was made counts at each of
 * its values. 1 where there is no cell: such a grid hides all.
 */
const mixedShare = ({ names, values, ends }: CaseTable, across: number, down: number): number => {
  /** By cell, by column and over all: which ends there are, a bit each. */
  const [cells, byColumn, rows] = [new Map<number, number>(), new Map<number, number>(), new Set<number>()];
  let always = 0;
  for (let index = 0; index < ends.length; index++) {
    const [a, b] = [values[index * names.length + across], values[index * names.length + down]];
    const end = 1 << ends[index];
    if (b !== NOT_CHOSEN) rows.add(b);
    if (a === NOT_CHOSEN) always |= end;
    else if (b === NOT_CHOSEN) byColumn.set(a, (byColumn.get(a) ?? 0) | end);
    else cells.set(keyOf(a, b), (cells.get(keyOf(a, b)) ?? 0) | end);
  }
  for (const [a, found] of byColumn)
    for (const b of rows) cells.set(keyOf(a, b), (cells.get(keyOf(a, b)) ?? 0) | found);
  let mixed = 0;
  for (const found of cells.values()) if (((found | always) & ((found | always) - 1)) !== 0) mixed++;
  return cells.size === 0 ? 1 : mixed / cells.size;
};

const keyOf = (a: number, b: number): number => a * 2 ** 22 + b;
