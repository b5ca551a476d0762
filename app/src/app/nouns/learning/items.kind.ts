import type { Memory } from '@enumeron/core/learn';
import { Kind } from '../../storage/kind';

/** How well one item of an order is held: made by the first answer to it. */
export interface ItemRow {
  /** The order's id and the item's, with a blank between. */
  readonly id: string;
  readonly order: string;
  /** As core's `itemId` writes it: `number 7D`. */
  readonly item: string;
  readonly memory: Memory;
  /** What the right answer was when it was answered last: an order may be edited since. */
  readonly truth: string;
  /** When it was answered first. */
  readonly begun: number;
  readonly sample?: true;
}

export const itemKey = (order: string, item: string): string => `${order} ${item}`;

export const ITEMS: Kind<ItemRow> = {
  name: 'items',
  table: 'items',
  stores: 'id, order',
  keyOf: ({ id }) => id,
  words: ['item that is learnt', 'items that are learnt'],
  line: undefined,
  inBackup: true,
  most: 50_000,
  schema: (joi, { key, memory, time }) =>
    joi.object({
      id: joi.string().max(100).required(),
      order: key,
      item: joi.string().max(20).required(),
      memory: memory.required(),
      truth: joi.string().max(20).required(),
      begun: time,
      sample: joi.valid(true),
    }),
};
