import { CARD, Card, listOf, Part, whole } from '@enumeron/core/deck';
import { Move, MOVE } from '@enumeron/core/file/moves/move';
import { single } from '../../storage/kind';

/** The longest row that is written, and how many cards are followed through it. */
export const [LONGEST_ROW, MOST_FOLLOWED] = [60, 5];

/** A card that is followed through a row, and the place where it is wanted, from 1. */
export interface Followed {
  readonly card: Card;
  readonly to?: number;
}

/** What a cut costs beside a weave, or that there are none. */
export const CUT_PRICES = ['none', 0, 1, 2] as const;
export type CutPrice = (typeof CUT_PRICES)[number];

/** The row that is worked on, done to a copy of the pack as it lies, and the cards that are followed through it. */
export interface WeavingRow {
  readonly id: 'weaving';
  readonly row: readonly Move[];
  readonly followed: readonly Followed[];
  readonly cuts: CutPrice;
  /** Whether it is all the same which of the cards comes to which of the places. */
  readonly anyOrder?: true;
}

/** A move that keeps all cards: a row is done to whatever pack lies there. */
const ROW_MOVE: Part = (value, fields) => {
  const { kind } = (value ?? {}) as { readonly kind?: unknown };
  return kind === 'take' || kind === 'put'
    ? { what: 'This takes a card out or puts one in.', remedy: 'A row keeps all cards: leave it out.' }
    : MOVE(value, fields);
};

export const ROW = listOf(ROW_MOVE, 0, LONGEST_ROW);

export const WEAVING = single<WeavingRow>({
  name: 'weaving',
  standIn: { id: 'weaving', row: [], followed: [], cuts: 1 },
  words: ['row that is worked on', 'rows that are worked on'],
  line: 'table',
  inBackup: true,
  schema: (joi, { craft }) =>
    joi.object({
      id: joi.valid('weaving').required(),
      row: craft(ROW).required(),
      followed: joi
        .array()
        .items(joi.object({ card: craft(CARD).required(), to: craft(whole(1, 60)).optional() }))
        .max(MOST_FOLLOWED)
        .required(),
      cuts: joi.valid(...CUT_PRICES).required(),
      anyOrder: joi.valid(true),
    }),
});
