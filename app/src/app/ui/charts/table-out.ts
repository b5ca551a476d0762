import { fileName } from '@enumeron/core/file/formats/name';
import { makeCells } from '../../platform/csv';
import { download } from '../../platform/download';

/** A table as a file, or as text for the clipboard. This module brings what writes tables: load it with `import()`. */

export type TableKind = 'csv' | 'tsv';
type Cells = readonly (readonly string[])[];

export const saveTable = (cells: Cells, name: string, kind: TableKind): void =>
  download(
    makeCells(cells, kind),
    fileName(name, kind),
    kind === 'csv' ? 'text/csv' : 'text/tab-separated-values',
  );

/** With tabs between the cells, as spreadsheets take it. */
export const tableText = (cells: Cells): string => makeCells(cells, 'tsv');
