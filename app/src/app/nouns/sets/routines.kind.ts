import { Routine, ROUTINE } from '@enumeron/core/file/perform/routine';
import { Kind } from '../../storage/kind';

/** A routine that a performer keeps. */
export interface RoutineRow {
  readonly id: string;
  readonly routine: Routine;
  /** The procedure that it is, by its id; plain notes have none. It may have been removed. */
  readonly procedure?: string;
  readonly at: number;
  /** When it was changed last; when it was made unless told. */
  readonly changed?: number;
  readonly sample?: true;
}

export const ROUTINES: Kind<RoutineRow> = {
  name: 'routines',
  table: 'routines',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['routine', 'routines'],
  line: 'table',
  inBackup: true,
  most: 2000,
  schema: (joi, { key, time, craft }) =>
    joi.object({
      ...{ id: key, routine: craft(ROUTINE).required(), at: time },
      procedure: joi.string().pattern(/^[\w-]{1,64}$/),
      changed: joi.number().integer().min(0),
      sample: joi.valid(true),
    }),
};
