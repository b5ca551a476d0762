import { Kind } from '../../storage/kind';

/** Why a snapshot was taken. There is one of each, the last. */
export type SnapshotReason = 'restore' | 'erase' | 'week';

/** Everything at one moment, as the text of a backup. */
export interface SnapshotRow {
  readonly id: SnapshotReason;
  readonly at: number;
  readonly text: string;
}

export const SNAPSHOTS: Kind<SnapshotRow> = {
  name: 'snapshots',
  table: 'snapshots',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['snapshot', 'snapshots'],
  line: undefined,
  inBackup: false,
  most: 3,
  schema: (joi, { time }) =>
    joi.object({
      id: joi.valid('restore', 'erase', 'week').required(),
      at: time,
      text: joi.string().required(),
    }),
};
