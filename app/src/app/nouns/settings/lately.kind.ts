import { single } from '../../storage/kind';

/** Whether the line that greets a newcomer is still wanted, or was used and is gone. */
export const GREETING = ['new', 'used'] as const;

/** What was used lately, so that it comes first; and whether the first visit's line is still wanted. */
export interface LatelyRow {
  readonly id: 'lately';
  /** Addresses of ways into Reckon, the last used first. */
  readonly ways: readonly string[];
  readonly greeting: (typeof GREETING)[number];
}

/** How many addresses are kept, and how long one may be. */
const [MOST, LONGEST] = [40, 40];

export const LATELY = single<LatelyRow>({
  name: 'lately',
  standIn: { id: 'lately', ways: [], greeting: 'new' },
  words: ['note of what was used lately', 'notes of what was used lately'],
  line: undefined,
  told: true,
  inBackup: false,
  glance: (row) => {
    const { ways, greeting } = (row ?? {}) as LatelyRow;
    return Array.isArray(ways) && ways.every((way) => typeof way === 'string') && GREETING.includes(greeting);
  },
  schema: (joi) =>
    joi.object({
      id: joi.valid('lately').required(),
      ways: joi.array().items(joi.string().max(LONGEST).allow('')).max(MOST).required(),
      greeting: joi.valid(...GREETING).required(),
    }),
});
