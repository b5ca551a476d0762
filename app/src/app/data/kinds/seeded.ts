import { single } from '../kind';

/** Set once the demo data has been laid out, so that it does not come back by itself. 0 stands in before that. */
export interface SeededRow {
  readonly id: 'seeded';
  readonly at: number;
}

export const SEEDED = single<SeededRow>({
  name: 'seeded',
  standIn: { id: 'seeded', at: 0 },
  words: ['note that the samples were laid out', 'notes that the samples were laid out'],
  line: undefined,
  inBackup: false,
  schema: (joi, { time }) => joi.object({ id: joi.valid('seeded').required(), at: time }),
});
