import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { typedName } from '@enumeron/core/file/formats/name';
import { Kind } from '../../storage/kind';

/** A procedure under its name, as it is written: it may be wrong in what it says, which Rehearse tells at the step. */
export interface ProcedureRow {
  readonly id: string;
  readonly procedure: Procedure;
  /** The numbers of its steps, in the order in which they stand: a step keeps its own while it is written. */
  readonly numbers?: readonly number[];
  /** When it was made. */
  readonly at: number;
  readonly sample?: true;
}

/** The longest procedure that is kept, in characters of its file. */
export const LONGEST_PROCEDURE = 400_000;

export const PROCEDURES: Kind<ProcedureRow> = {
  name: 'procedures',
  table: 'procedures',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['procedure', 'procedures'],
  line: 'table',
  inBackup: true,
  most: 2000,
  schema: (joi, { key, time, craft }) =>
    joi.object({
      id: key,
      // The language is read in the room, with the step at which something is wrong.
      procedure: craft((value) => {
        const { name, steps } = (value ?? {}) as { readonly name?: unknown; readonly steps?: unknown };
        return typeof name === 'string' &&
          typedName(name) === name &&
          Array.isArray(steps) &&
          JSON.stringify(value).length <= LONGEST_PROCEDURE
          ? undefined
          : {
              what: 'This is no procedure, or too long for one.',
              remedy: 'Give it a name and a list of steps.',
            };
      }).required(),
      numbers: joi.array().items(joi.number().integer().min(1)).max(20_000).unique(),
      at: time,
      sample: joi.valid(true),
    }),
  migrate: {
    8: (row) => {
      const { procedure } = (row ?? {}) as { readonly procedure?: { readonly name?: unknown } };
      const name = procedure?.name;
      return typeof name === 'string' && typedName(name) !== name
        ? { ...(row as object), procedure: { ...procedure, name: typedName(name) } }
        : row;
    },
  },
};
