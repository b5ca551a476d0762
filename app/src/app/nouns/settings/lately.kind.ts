import { single } from '../../storage/kind';

/** What was used lately, so that it comes first; and which rooms have greeted their newcomer. */
export interface LatelyRow {
  readonly id: 'lately';
  /** Addresses of ways into Reckon, the last used first. */
  readonly ways: readonly string[];
  /** The rooms, by their addresses, whose greeting was used or closed. */
  readonly greeted?: readonly string[];
  /** As it was noted while only the first room greeted. */
  readonly greeting?: 'new' | 'used';
}

/** How many addresses are kept, and how long one may be. */
const [MOST, LONGEST] = [40, 40];

const areAddresses = (value: unknown): boolean =>
  Array.isArray(value) && value.every((each) => typeof each === 'string');

export const LATELY = single<LatelyRow>({
  name: 'lately',
  standIn: { id: 'lately', ways: [] },
  words: ['note of what was used lately', 'notes of what was used lately'],
  line: undefined,
  told: true,
  inBackup: false,
  glance: (row) => {
    const { ways, greeted = [] } = (row ?? {}) as LatelyRow;
    return areAddresses(ways) && areAddresses(greeted);
  },
  schema: (joi) =>
    joi.object({
      id: joi.valid('lately').required(),
      ways: joi.array().items(joi.string().max(LONGEST).allow('')).max(MOST).required(),
      greeted: joi.array().items(joi.string().max(LONGEST)).max(MOST),
      greeting: joi.valid('new', 'used'),
    }),
});
