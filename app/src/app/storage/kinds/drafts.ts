import { Kind } from '../kind';

/** The longest text of an order that is read and kept. */
export const TEXT_LIMIT = 20_000;

/** What a field of a draft holds: a text, a choice, or a list of moves and the like. */
export type DraftValue = string | number | boolean | null | readonly unknown[];

/** What is being written in one tab. */
export interface DraftRow {
  /** The tab and the subject. */
  readonly id: string;
  /** The tab that it is written in; empty when it was left by a version that did not tell. */
  readonly tab: string;
  /** What it is about: an order's id, or what is being made (`new`, `rule` …). */
  readonly subject: string;
  readonly at: number;
  readonly fields: Readonly<Record<string, DraftValue>>;
}

export const DRAFTS: Kind<DraftRow> = {
  name: 'drafts',
  table: 'drafts',
  stores: 'id, subject',
  keyOf: ({ id }) => id,
  words: ['unfinished text', 'unfinished texts'],
  line: undefined,
  inBackup: false,
  most: 1000,
  schema: (joi, { time }) => {
    const scalar = [joi.string().allow('').max(TEXT_LIMIT), joi.number(), joi.boolean(), joi.valid(null)];
    return joi.object({
      id: joi.string().max(200).required(),
      tab: joi.string().allow('').max(64).required(),
      subject: joi.string().max(80).required(),
      at: time,
      fields: joi
        .object()
        .pattern(joi.string().max(40), joi.alternatives(...scalar, joi.array().max(1000)))
        .max(20)
        .required(),
    });
  },
  migrate: {
    2: (row) => {
      const { id, name, text } = (row ?? {}) as Record<string, unknown>;
      return typeof id === 'string' && typeof name === 'string' && typeof text === 'string'
        ? { id: ` ${id}`, tab: '', subject: id, at: 0, fields: { name, text } }
        : row;
    },
  },
};
