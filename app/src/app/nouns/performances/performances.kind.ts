import { changedAt, Night, tombstoneOf } from '@enumeron/core/file/record/night';
import { NIGHT } from '@enumeron/core/file/record/nightShape';
import { without } from '../../platform/without';
import { Kind } from '../../storage/kind';

/** One night as it was done, or as far as it has come; a date to come; what is left of one that was removed. */
export type PerformanceRow = Night;

/** When undo writes a row it is as new as what it takes back: other devices take it over, too. */
const stamped = (row: Night, now: number, over: Night | undefined): Night => ({
  ...row,
  changed: Math.max(now, over ? changedAt(over) + 1 : 0),
});

export const PERFORMANCES: Kind<PerformanceRow> = {
  name: 'performances',
  table: 'performances',
  stores: 'id, at, changed',
  keyOf: ({ id }) => id,
  words: ['performance', 'performances'],
  line: 'record',
  inBackup: true,
  most: 20_000,
  schema: (_, { craft }) => craft(NIGHT).required(),
  again: (row, over, now) =>
    row ? stamped(row, now, over) : over && stamped(tombstoneOf(over, now), now, over),
  bare: (row) => (row.removed ? undefined : { ...without(row, 'changed') }),
};
