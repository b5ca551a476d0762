import { Kind } from '../kind';

/** A stored row that could not be read and that something else has taken the place of: it is kept as it was. */
export interface DamagedRow {
  readonly id: string;
  /** What it was: the name of a kind, or of a table where it was of no kind. */
  readonly kind: string;
  readonly key: string;
  /** The row as JSON, whatever it is. */
  readonly text: string;
  /** Why it could not be read. */
  readonly problem: string;
  readonly at: number;
}

export const DAMAGED: Kind<DamagedRow> = {
  name: 'damaged',
  table: 'damaged',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['damaged row', 'damaged rows'],
  line: undefined,
  inBackup: true,
  most: 10_000,
  schema: (joi, { time }) =>
    joi.object({
      id: joi.string().max(200).required(),
      kind: joi.string().max(200).required(),
      key: joi.string().allow('').max(200).required(),
      text: joi.string().allow('').required(),
      problem: joi.string().allow('').max(2000).required(),
      at: time,
    }),
};
