import type { Blocks, Direction, Pace } from '@enumeron/core/learn';
import { Kind } from '../../storage/kind';

/** How an order is learnt. */
export interface LearningRow {
  /** The order's id. */
  readonly id: string;
  readonly blocks: Blocks;
  readonly directions: readonly Direction[];
  /** How many cards are begun on one day at most. */
  readonly newCards: number;
  /** How long a practice is, in minutes. */
  readonly minutes: number;
  /** The way in which its stack numbers are worked out, by its name, where one was chosen. */
  readonly way?: string;
  /** How fast is fast, where it is not as usual. */
  readonly pace?: Pace;
  /** Which kinds of sums are practised, and how fast one is wanted, in milliseconds. */
  readonly sums?: { readonly kinds: readonly string[]; readonly wanted: number };
}

/** What stands in until an order has settings of its own. */
export const usualLearning = (id: string): LearningRow => ({
  id,
  // All at once, five a day: simulated learners (core/bench) hold an order after a few answers fewer than in blocks.
  blocks: { kind: 'size', size: 60 },
  directions: ['number', 'card', 'after', 'before'],
  newCards: 5,
  minutes: 5,
});

export const LEARNING: Kind<LearningRow> = {
  name: 'learning',
  table: 'learning',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['way in which an order is learnt', 'ways in which orders are learnt'],
  line: 'table',
  inBackup: true,
  most: 20_000,
  schema: (joi, { key }) => {
    const ms = joi.number().integer().min(100).max(60_000).required();
    return joi.object({
      id: key,
      blocks: joi
        .alternatives(
          joi.object({ kind: joi.valid('own').required() }),
          joi.object({
            kind: joi.valid('size').required(),
            size: joi.number().integer().min(1).max(60).required(),
          }),
          joi.object({
            kind: joi.valid('ends').required(),
            ends: joi.array().items(joi.number().integer().min(1).max(999)).min(1).max(30).required(),
          }),
        )
        .required(),
      directions: joi
        .array()
        .items(joi.valid('number', 'card', 'after', 'before', 'around', 'mate'))
        .unique()
        .required(),
      newCards: joi.number().integer().min(0).max(60).required(),
      minutes: joi.number().integer().min(1).max(120).required(),
      way: joi.string().max(80),
      pace: joi.object({ fluent: ms, quick: ms, slow: ms }),
      sums: joi.object({ kinds: joi.array().items(joi.string().max(40)).max(100).required(), wanted: ms }),
    });
  },
};
