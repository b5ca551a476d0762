import { single } from '../kind';

/** Set once the demo data has been laid out, so that it does not come back by itself. 0 stands in before that. */
export interface SeededRow {
  readonly id: 'seeded';
  /** The first visit. */
  readonly at: number;
  /** The rooms whose samples were laid out, by their addresses. */
  readonly rooms?: readonly string[];
}

/** The only room with samples when their rooms were not written down yet. */
const AT_FIRST = ['arrange'];

export const roomsSeeded = (row: SeededRow | undefined): readonly string[] =>
  row === undefined ? [] : (row.rooms ?? AT_FIRST);

export const SEEDED = single<SeededRow>({
  name: 'seeded',
  standIn: { id: 'seeded', at: 0 },
  words: ['note that the samples were laid out', 'notes that the samples were laid out'],
  line: undefined,
  inBackup: false,
  schema: (joi, { time }) =>
    joi.object({
      id: joi.valid('seeded').required(),
      at: time,
      rooms: joi.array().items(joi.string().max(20)).max(20),
    }),
});
