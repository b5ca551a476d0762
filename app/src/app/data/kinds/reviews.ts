import type { Grade, Memory } from '@enumeron/core/learn';
import { Kind } from '../kind';

/** One answer to an item. It stays as it was given; one that was taken back is marked, and counts no more. */
export interface ReviewRow {
  readonly id: string;
  readonly order: string;
  readonly item: string;
  readonly at: number;
  readonly answered: string;
  readonly right: boolean;
  /** Milliseconds from the frame in which the prompt was painted to the first key. */
  readonly ms: number;
  readonly grade: Grade;
  readonly interrupted?: true;
  readonly withdrawn?: true;
  /** The item's memory before, none where this was its first answer: taking it back restores that. */
  readonly before?: Memory;
}

export const REVIEWS: Kind<ReviewRow> = {
  name: 'reviews',
  table: 'reviews',
  stores: 'id, [order+at]',
  keyOf: ({ id }) => id,
  words: ['answer', 'answers'],
  line: undefined,
  inBackup: true,
  appended: true,
  most: 500_000,
  schema: (joi, { key, memory, time }) =>
    joi.object({
      id: key,
      order: joi.string().max(64).required(),
      item: joi.string().max(20).required(),
      at: time,
      answered: joi.string().max(20).required(),
      right: joi.boolean().required(),
      ms: joi.number().min(0).max(1e9).required(),
      grade: joi.valid(1, 2, 3, 4).required(),
      interrupted: joi.valid(true),
      withdrawn: joi.valid(true),
      before: memory,
    }),
};
