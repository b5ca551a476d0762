import { Card } from '../../deck/card';
import { parseSuit, showSuit } from '../../deck/notation';
import { Order } from '../../deck/order';
import { Outcome } from '../../deck/problem';
import { eachOnce, listOf, ShapeOf, whole } from '../../deck/shape';
import { Suit } from '../../deck/card';

/** One thing that a rule must be given, as it is written. Rules that are given the same thing share its field. */
export interface RuleField {
  readonly name: string;
  readonly label: string;
  /** What stands there at first. */
  readonly start: string;
  /** Set where it is long: how many lines it takes. */
  readonly lines?: number;
  readonly hint?: string;
  /** Another text like it by chance, and what the button for that says. */
  readonly another?: { readonly says: string; make(seed: number): string };
}

/** What was written into the fields, by their names. */
export type RuleTexts = Readonly<Record<string, string>>;

/** How a card's stack number is computed in the head, and how it goes back, for one kind of order. */
export interface HeadRecipe {
  /** The rule in words, once learnt. */
  readonly steps: readonly string[];
  /** The same done for one card: each line a sum and what it gives. */
  readonly example: readonly string[];
}

/** Everything that is known of one kind of rule: a kind is one file, and a row in `rule.ts`. */
export interface OrderRule<R> {
  /** What people call it. */
  readonly name: string;
  /** What it does, in a sentence. */
  readonly says: string;
  /** What its givens must be when it is read from storage or a file. */
  readonly shape: ShapeOf<R>;
  /** Its givens as they are written. */
  readonly fields: readonly RuleField[];
  /** The rule as it was written, or what cannot be read. What it computes is another question. */
  read(texts: RuleTexts): Outcome<{ readonly rule: R }>;
  /** The order that it computes, or why it computes none. */
  order(rule: R): Outcome<{ order: Order }>;
  /** A few words for a list. */
  describe(rule: R): string;
  /** How stack numbers are computed in the head, where a rank and suit of their own say it. */
  readonly head?: {
    stackNumber(rule: R, card: Card): number;
    recipe(rule: R, card: Card): HeadRecipe;
  };
  /** Whether mates may come either way round, so that an order of the kind can be laid as the cards come. */
  readonly matesFree?: true;
}

export const refuse = (what: string, remedy: string): Outcome<never> => ({
  ok: false,
  problems: [{ what, remedy }],
});

export const isEachOnce = (items: readonly number[], count: number): boolean =>
  items.length === count && new Set(items).size === count;

export const FOUR_SUITS = eachOnce(listOf(whole(0, 3), 4, 4));

export const SUITS_FIELD: RuleField = { name: 'suits', label: 'Suits in turn', start: 'D S H C' };

/** The suits that a text names; letters that name none are left out, and then some suit is lacking. */
export const suitsIn = (text: string): Suit[] =>
  [...text.replace(/[\s,]/g, '')].flatMap((letter) => parseSuit(letter) ?? []);

/** Why suits do not go round, or undefined where they do. */
export const suitsProblem = (suits: readonly Suit[]): Outcome<never> | undefined =>
  isEachOnce(suits, 4)
    ? undefined
    : refuse('Each suit must be there once.', 'Name all four, in the order in which they go round.');

export const showSuits = (suits: readonly Suit[]): string => suits.map(showSuit).join(' ');
