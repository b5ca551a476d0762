import type { Origin } from '@enumeron/core/file/arrange/origin';
import { Card } from '@enumeron/core/deck';
import { makeName } from '@enumeron/core/file/formats/name';
import { inFile } from '../../storage/in-file';
import { Kind } from '../../storage/kind';

/** A stored order, top card first. Samples belong to the demo world and are not edited in place. */
export interface OrderRow {
  readonly id: string;
  readonly name: string;
  readonly cards: readonly Card[];
  readonly sample: boolean;
  readonly origin?: Origin;
  /** Milliseconds since 1970. */
  readonly made: number;
  readonly changed: number;
}

/** Brings what version 1 stored and could not read itself to what it meant. */
const toVersion2 = (row: unknown): unknown => {
  if (typeof row !== 'object' || row === null) return row;
  const { name, origin, ...rest } = row as Record<string, unknown>;
  const cleaned = typeof name === 'string' ? { ...rest, name: makeName(name) } : { ...rest, name };
  return origin === undefined ? cleaned : { ...cleaned, origin: mendedOrigin(origin) };
};

/** A sign that was left out meant a suit from king to ace; a seed counted only by its last 32 bits. */
const mendedOrigin = (origin: unknown): unknown => {
  const text = JSON.stringify(origin, (name, value: unknown) => {
    if (name === 'up' && Array.isArray(value) && value.length < 4)
      return [...(value as unknown[]), false, false, false, false].slice(0, 4);
    return name === 'seed' && typeof value === 'number' && !Number.isSafeInteger(value) ? value | 0 : value;
  });
  return JSON.parse(text) as unknown;
};

export const ORDERS: Kind<OrderRow> = {
  name: 'orders',
  table: 'orders',
  stores: 'id, made, name',
  keyOf: ({ id }) => id,
  words: ['order', 'orders'],
  line: 'table',
  inBackup: true,
  most: 20_000,
  schema: (joi, { cards, key, name, origin, time }) =>
    joi.object({
      id: key,
      name,
      cards,
      sample: joi.boolean().required(),
      origin,
      made: time,
      changed: time,
    }),
  migrate: { 2: toVersion2 },
  toFile: (row) => ({
    ...row,
    cards: inFile.formatOrder(row.cards),
    made: inFile.time(row.made),
    changed: inFile.time(row.changed),
  }),
};
