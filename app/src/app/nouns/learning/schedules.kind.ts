import type { ScheduleSettings } from '@enumeron/core/learn';
import { Kind } from '../../storage/kind';

/** By which schedule an order is learnt, where it is not the usual one: it goes together with the memories that it made. */
export interface ScheduleRow extends ScheduleSettings {
  /** The order's id. */
  readonly id: string;
}

export const SCHEDULES: Kind<ScheduleRow> = {
  name: 'schedules',
  table: 'schedules',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['schedule of an order', 'schedules of orders'],
  line: undefined,
  inBackup: true,
  most: 20_000,
  schema: (joi, { key }) =>
    joi.object({
      id: key,
      retention: joi.number().min(0.7).max(0.97).required(),
      weights: joi.array().items(joi.number().min(-1000).max(1000)).length(21).required(),
    }),
};
