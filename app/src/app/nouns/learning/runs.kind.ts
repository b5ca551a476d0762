import { Kind } from '../../storage/kind';

/** One run through a whole order. */
export interface RunRow {
  readonly id: string;
  readonly order: string;
  readonly at: number;
  /** How it went: `forwards`, `backwards`, `every second`. */
  readonly way: string;
  /** The stack number that it began with. */
  readonly from: number;
  /** When each card was said, in milliseconds from the start. */
  readonly splits: readonly number[];
  /** Stack numbers of the cards that were wrong. */
  readonly wrong: readonly number[];
  /** Set where the user judged it: said aloud, and not typed. */
  readonly said?: true;
  readonly sample?: true;
}

export const RUNS: Kind<RunRow> = {
  name: 'runs',
  table: 'runs',
  stores: 'id, [order+at]',
  keyOf: ({ id }) => id,
  words: ['run through an order', 'runs through an order'],
  line: undefined,
  inBackup: true,
  appended: true,
  most: 100_000,
  schema: (joi, { key, time }) => {
    const place = joi.number().integer().min(1).max(108);
    return joi.object({
      id: key,
      order: joi.string().max(64).required(),
      at: time,
      way: joi.valid('forwards', 'backwards', 'every second').required(),
      from: place.required(),
      splits: joi.array().items(joi.number().min(0).max(1e9)).max(108).required(),
      wrong: joi.array().items(place).max(108).required(),
      said: joi.valid(true),
      sample: joi.valid(true),
    });
  },
};
