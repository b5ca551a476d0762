import type { Level } from '@enumeron/core/learn';
import { Kind } from '../../storage/kind';

/** One answer to a sum. It stays as it was given; one that was taken back is marked, and counts no more. */
export interface SumRow {
  readonly id: string;
  readonly order: string;
  /** The kind of sum, and what it was made from. */
  readonly kind: string;
  readonly inputs: readonly number[];
  readonly level: Level;
  readonly at: number;
  readonly asked: string;
  readonly truth: string;
  readonly answered: string;
  readonly right: boolean;
  /** Milliseconds from the frame in which the sum was painted to the first key. */
  readonly ms: number;
  readonly interrupted?: true;
  readonly withdrawn?: true;
  readonly sample?: true;
}

export const SUMS: Kind<SumRow> = {
  name: 'sums',
  table: 'sums',
  stores: 'id, at',
  keyOf: ({ id }) => id,
  words: ['answer to a sum', 'answers to sums'],
  line: undefined,
  inBackup: true,
  appended: true,
  most: 500_000,
  schema: (joi, { answer }) =>
    joi.object({
      ...answer,
      kind: joi.string().max(40).required(),
      inputs: joi.array().items(joi.number().integer().min(0).max(200)).max(8).required(),
      level: joi.valid(0, 1, 2, 3).required(),
      asked: joi.string().max(200).required(),
      truth: joi.string().max(80).required(),
    }),
};
