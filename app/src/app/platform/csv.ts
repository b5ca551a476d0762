import { parse, ParseResult, unparse } from 'papaparse';

/** This module brings Papa Parse with it: load it with `import()`. */

/**
 * What a spreadsheet would run as a formula begins so; some take the full-width signs for the plain ones. An apostrophe of
 * the user's own before such a sign gets another, so that it is not taken away.
 */
const FORMULA = /^'*[=+\-@\t\r＝＋－＠]/;

/**
 * Rows as CSV, the fields' names first. A cell that a spreadsheet would run as a formula gets an apostrophe in front,
 * which reading takes away.
 */
export const makeCsv = (fields: readonly string[], rows: readonly object[]): string =>
  unparse({ fields: [...fields], data: rows as unknown[] }, { escapeFormulae: FORMULA, newline: '\r\n' });

/** Cells as a table with commas or tabs between them, by the same rule. */
export const makeCells = (cells: readonly (readonly string[])[], kind: 'csv' | 'tsv'): string =>
  `${unparse(cells as string[][], { escapeFormulae: FORMULA, newline: '\r\n', delimiter: kind === 'tsv' ? '\t' : ',' })}\r\n`;

/** A cell as it was before it was written. */
export const cellText = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;

const cleaned = (text: string): string => text.replace(/^\uFEFF/, '').trim();

/** The cells of a table, row by row, whatever stands between them: comma, semicolon or tab. */
export const parseCells = (text: string): readonly (readonly string[])[] =>
  parse<string[]>(cleaned(text), { skipEmptyLines: 'greedy' }).data.map((row) => row.map(cellText));

/** The rows of a table by the names of its columns, in small letters. */
export const parseTable = (text: string): ParseResult<Partial<Record<string, string>>> =>
  parse(cleaned(text), {
    header: true,
    transformHeader: (name) => name.trim().toLowerCase(),
    transform: cellText,
  });

/** Whether a text begins with a row of names of which one is this, whatever stands between them. */
export const hasColumn = (text: string, name: string): boolean => {
  const { data } = parse<string[]>(cleaned(text), { preview: 1 });
  return data.at(0)?.some((each) => each.trim().toLowerCase() === name) ?? false;
};
