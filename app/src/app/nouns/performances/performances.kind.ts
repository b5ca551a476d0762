import type { RoutineDone } from '@enumeron/core/file/perform/cue/performance';
import { ROUTINE_DONE } from '@enumeron/core/file/perform/cue/shape';
import { listOf } from '@enumeron/core/file/deck/shape';
import { Kind } from '../../storage/kind';

/** One performance as it was done, or as far as it has come. */
export interface PerformanceRow {
  readonly id: string;
  /** When it began. */
  readonly at: number;
  /** Before an audience, or a run-through alone. */
  readonly real: boolean;
  /** The set as it was called that night, and its id. */
  readonly name: string;
  readonly set?: string;
  /** In whose words it was said; empty for all. */
  readonly audience: string;
  readonly done: readonly RoutineDone[];
  /** How long it took, in seconds; not there while it goes on, or where it was never ended. */
  readonly seconds?: number;
  readonly sample?: true;
}

const MOST_DONE = 200;

export const PERFORMANCES: Kind<PerformanceRow> = {
  name: 'performances',
  table: 'performances',
  stores: 'id, at',
  keyOf: ({ id }) => id,
  words: ['performance', 'performances'],
  line: undefined,
  inBackup: true,
  most: 20_000,
  schema: (joi, { key, time, craft }) =>
    joi.object({
      ...{ id: key, at: time, real: joi.boolean().required(), name: joi.string().max(200).required() },
      ...{ set: joi.string().max(100), audience: joi.string().max(80).allow('').required() },
      done: craft(listOf(ROUTINE_DONE, 0, MOST_DONE)).required(),
      seconds: joi.number().min(0).max(1e7),
      sample: joi.valid(true),
    }),
};
