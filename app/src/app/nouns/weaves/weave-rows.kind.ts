import { Move } from '@enumeron/core/file/moves/move';
import { Kind } from '../../storage/kind';
import { ROW } from './weaving.kind';

/** A row of weaves and cuts that was kept under a name. */
export interface WeaveRowRow {
  readonly id: string;
  readonly name: string;
  readonly row: readonly Move[];
  readonly at: number;
  readonly sample?: true;
}

export const WEAVE_ROWS: Kind<WeaveRowRow> = {
  name: 'weave rows',
  table: 'weaveRows',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['row of weaves', 'rows of weaves'],
  line: 'table',
  inBackup: true,
  most: 2000,
  schema: (joi, { key, name, time, craft }) =>
    joi.object({ id: key, name, row: craft(ROW).required(), at: time, sample: joi.valid(true) }),
};
