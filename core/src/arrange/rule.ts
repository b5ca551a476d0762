import { Card, FULL_PACK, Rank, Suit } from '../deck/card';
import { Outcome } from '../deck/problem';
import { cardList, CARD, eachOnce, FLAG, kindOf, listOf, Part, readBy, ShapesOf, whole } from '../deck/shape';

/** Ranks advance by a step while the suits go round: from the first card every order of this kind is full. */
export interface Rotating {
  readonly kind: 'rotating';
  readonly first: Card;
  /** 1 to 12. */
  readonly step: number;
  /** The four suits in the order in which they go round; it may begin anywhere. */
  readonly suits: readonly Suit[];
}

/** A row of all thirteen ranks, said over and over, against suits that go round. */
export interface RankRow {
  readonly kind: 'rank row';
  readonly ranks: readonly Rank[];
  readonly suits: readonly Suit[];
}

/** The second half holds the mates of the first: at the same depth, or back from the face. */
export interface Mirrored {
  readonly kind: 'mirrored halves' | 'palindrome';
  /** 26 cards, one of each pair of mates. */
  readonly half: readonly Card[];
}

/** Suit by suit as a new pack comes, each suit up (ace to king) or down. */
export interface Factory {
  readonly kind: 'factory';
  readonly suits: readonly Suit[];
  readonly up: readonly boolean[];
}

/** A way to compute a whole order from a few givens. */
export type Rule = Rotating | RankRow | Mirrored | Factory;

const FOUR_SUITS = eachOnce(listOf(whole(0, 3), 4, 4));
const HALF = cardList(FULL_PACK / 2, FULL_PACK / 2);

const SHAPES: ShapesOf<Rule> = {
  rotating: { first: CARD, step: whole(1, 12), suits: FOUR_SUITS },
  'rank row': { ranks: eachOnce(listOf(whole(1, 13), 13, 13)), suits: FOUR_SUITS },
  'mirrored halves': { half: HALF },
  palindrome: { half: HALF },
  factory: { suits: FOUR_SUITS, up: listOf(FLAG, 4, 4) },
};

/** A rule that is stored or stands in a file. */
export const RULE: Part = kindOf(SHAPES);

/** Reads a rule. Whether it computes an order is another question: `orderByRule` answers it. */
export const parseRule = (value: unknown): Outcome<{ readonly rule: Rule }> => readBy('rule', RULE, value);
