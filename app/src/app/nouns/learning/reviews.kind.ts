import type { Grade, Memory } from '@enumeron/core/learn';
import { Kind } from '../../storage/kind';

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
  readonly hinted?: true;
  readonly withdrawn?: true;
  /** Set on what is no answer: from here on the item was begun anew. */
  readonly reset?: true;
  /** Set on what belongs to the demo world. */
  readonly sample?: true;
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
  schema: (joi, { answer, memory }) =>
    joi.object({
      ...answer,
      item: joi.string().max(20).required(),
      grade: joi.valid(1, 2, 3, 4).required(),
      hinted: joi.valid(true),
      reset: joi.valid(true),
      before: memory,
    }),
};
