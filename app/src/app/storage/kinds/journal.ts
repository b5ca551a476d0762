import { Kind, Line, LINES } from '../kind';

/** What stood at a place before and after; undefined means no row. */
export interface Change {
  /** The kind's name. */
  readonly kind: string;
  readonly key: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** One thing the user did, as the rows that it changed. */
export interface JournalRow {
  /** Given by the table: the order in which actions were done. */
  readonly id?: number;
  readonly line: Line;
  readonly label: string;
  readonly at: number;
  /** 0 once it has been undone, 1 while it stands (IndexedDB does not index booleans). */
  readonly done: 0 | 1;
  /** What goes on with what was done a moment ago is one action with it: the same name here. */
  readonly about?: string;
  readonly changes: readonly Change[];
}

const kindOfVersion1 = (table: unknown, key: unknown): unknown => (table === 'orders' ? 'orders' : key);

/** The journal is a kind as well, so that a damaged row of it is found like any other. */
export const JOURNAL: Kind<JournalRow> = {
  name: 'journal',
  table: 'journal',
  stores: '++id, [line+done]',
  keyOf: ({ id = 0 }) => id.toString(),
  words: ['entry of the journal', 'entries of the journal'],
  line: undefined,
  inBackup: false,
  most: 0,
  schema: (joi, { time }) =>
    joi.object({
      id: joi.number().integer().required(),
      line: joi.valid(...LINES).required(),
      label: joi.string().allow('').max(1000).required(),
      at: time,
      done: joi.valid(0, 1).required(),
      about: joi.string().max(200),
      changes: joi
        .array()
        .items(
          joi.object({
            kind: joi.string().required(),
            key: joi.string().required(),
            before: joi.any(),
            after: joi.any(),
          }),
        )
        .required(),
    }),
  migrate: {
    2: (row) => {
      const { changes, ...rest } = (row ?? {}) as Record<string, unknown>;
      if (!Array.isArray(changes)) return row;
      return {
        ...rest,
        line: 'table',
        changes: (changes as Record<string, unknown>[]).map(({ table, key, ...change }) => ({
          ...change,
          kind: kindOfVersion1(table, key),
          key,
        })),
      };
    },
  },
};
