import { SET_LIST, SetList } from '@enumeron/core/file/perform/routine';
import { Kind } from '../../storage/kind';

/** A set: routines in turn, and what is fixed about their order. */
export interface SetRow {
  readonly id: string;
  readonly set: SetList;
  readonly at: number;
  /** When it was changed last; when it was made unless told. */
  readonly changed?: number;
  readonly sample?: true;
}

export const SETS: Kind<SetRow> = {
  name: 'sets',
  table: 'sets',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['set', 'sets'],
  line: 'table',
  inBackup: true,
  most: 2000,
  schema: (joi, { key, time, craft }) =>
    joi.object({
      ...{ id: key, set: craft(SET_LIST).required(), at: time, sample: joi.valid(true) },
      changed: joi.number().integer().min(0),
    }),
};
