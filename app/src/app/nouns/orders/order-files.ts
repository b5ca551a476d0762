import { Order, Outcome, placeOf, showCard } from '@enumeron/core/deck';
import {
  fileName,
  layOut,
  makeOrderJson,
  makeStripSvg,
  OrderLayout,
  parseOrderJson,
} from '@enumeron/core/formats';
import { readJson } from '../../platform/read-json';

/** A way to write an order into a file. */
export interface OrderFileKind {
  readonly name: string;
  readonly ending: string;
  readonly type: string;
  make(name: string, order: Order): string | Promise<string>;
}

const text = (name: string, layout: OrderLayout): OrderFileKind => ({
  name,
  ending: 'txt',
  type: 'text/plain',
  make: (_, order) => layOut(order, layout),
});

/** One row a card. */
const makeTable = async (name: string, order: Order): Promise<string> => {
  const { makeCsv } = await import('../../platform/csv');
  const rows = order.map((card) => ({ order: name, place: placeOf(order, card), card: showCard(card) }));
  return `${makeCsv(['order', 'place', 'card'], rows)}\r\n`;
};

export const ORDER_FILES: readonly OrderFileKind[] = [
  {
    name: 'JSON',
    ending: 'enumeron.json',
    type: 'application/json',
    make: (name, order) => makeOrderJson({ name, order }),
  },
  { name: 'CSV, one row a card', ending: 'csv', type: 'text/csv', make: makeTable },
  text('Text: AC 10H', 'letters'),
  text('Text: A♣ 10♥', 'symbols'),
  text('Text: numbered lines', 'numbered lines'),
  text('Text: card characters', 'card characters'),
  { name: 'Picture of the strip (SVG)', ending: 'svg', type: 'image/svg+xml', make: makeStripSvg },
];

/** What a file with an order gives to the editor: its text of cards, and its name where it has one. */
export interface OrderText {
  readonly name?: string;
  readonly text: string;
}

/** The line and column at which a row of a table has too many cells (at the first of them) or too few (its end). */
const whereInTable = (
  content: string,
  delimiter: string,
  row: number | undefined,
  code: string,
): string | undefined => {
  if (row === undefined) return undefined;
  const lines = content.split(/\r\n|\r|\n/);
  const [cells, wanted] = [lines.at(row + 1)?.split(delimiter) ?? [], lines[0].split(delimiter).length];
  const kept = code === 'TooManyFields' ? cells.slice(0, wanted) : cells;
  const column = kept.join(delimiter).length + (code === 'TooManyFields' ? 2 : 1);
  return `Line ${(row + 2).toString()}, column ${column.toString()}`;
};

/** Takes the cards out of a table with a column `card`; other tables are read as plain text. */
const readCsv = async (content: string): Promise<Outcome<OrderText>> => {
  const { parseTable } = await import('../../platform/csv');
  const { data, errors, meta } = parseTable(content);
  // A table of one column has no delimiter to be found: that is no fault.
  const fault = errors.find(({ type }) => type !== 'Delimiter');
  if (fault) {
    const { row, code, message } = fault;
    return {
      ok: false,
      problems: [
        {
          where: whereInTable(content.trim(), meta.delimiter, row, code),
          what: `The table is broken: ${message}.`,
          remedy: 'Mend that line.',
        },
      ],
    };
  }
  return { ok: true, name: data.at(0)?.['order'], text: data.map((row) => row['card'] ?? '').join('\n') };
};

/** Reads an order's file by what it holds: JSON, a table, or plain text. */
export const readOrderFile = async (content: string): Promise<Outcome<OrderText>> => {
  if (content.trimStart().startsWith('{')) {
    const json = await readJson(content, 'Mend it there, or save it again.');
    if (!json.ok) return json;
    const outcome = parseOrderJson(json.value);
    return outcome.ok
      ? { ok: true, name: outcome.name, text: layOut(outcome.order, 'letters').trim() }
      : outcome;
  }
  // What brings the reader of tables is loaded only where a first line might name a column.
  const [header] = content.trimStart().split(/\r?\n/, 1);
  if (!/\bcard\b/i.test(header)) return { ok: true, text: content };
  const { hasColumn } = await import('../../platform/csv');
  return hasColumn(content, 'card') ? readCsv(content) : { ok: true, text: content };
};

/** A file name from an order's name. */
export const fileNameFor = (name: string, { ending }: OrderFileKind): string => fileName(name, ending);
