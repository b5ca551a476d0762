import { Kind } from '../../storage/kind';

/** A procedure that stands among Reckon's patterns. */
export interface SentRow {
  readonly id: string;
  /** The procedure's id: what is changed there is changed here. */
  readonly procedure: string;
  /** What is its answer, as it is called; what is found last unless told. */
  readonly answer?: string;
  readonly at: number;
}

/** The longest name of an answer. */
const LONGEST = 200;

export const SENT: Kind<SentRow> = {
  name: 'sent',
  table: 'sent',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['procedure among Reckon’s patterns', 'procedures among Reckon’s patterns'],
  line: 'table',
  inBackup: true,
  most: 200,
  schema: (joi, { key, time }) =>
    joi.object({ id: key, procedure: key, answer: joi.string().max(LONGEST), at: time }),
};
