import { Kind } from '../../storage/kind';

/** One weave of the user's practice: as it was meant, and how it went. */
export interface WeaveDoneRow {
  readonly id: string;
  readonly at: number;
  readonly weave: 'in' | 'out';
  readonly size: number;
  /** How many cards were cut off. */
  readonly cut: number;
  readonly faults: number;
  /** The places of cards that fell behind one of their own packet. */
  readonly slips: readonly number[];
  readonly sample?: true;
}

export const WEAVES_DONE: Kind<WeaveDoneRow> = {
  name: 'weaves',
  table: 'weaves',
  stores: 'id, at',
  keyOf: ({ id }) => id,
  words: ['weave that was practised', 'weaves that were practised'],
  line: 'table',
  inBackup: true,
  most: 100_000,
  schema: (joi, { key, time }) => {
    const number = joi.number().integer().min(0).max(60);
    const count = number.required();
    return joi.object({
      id: key,
      at: time,
      weave: joi.valid('in', 'out').required(),
      ...{ size: count.min(1), cut: count, faults: count },
      slips: joi.array().items(number.min(2)).max(60).required(),
      sample: joi.valid(true),
    });
  },
};
