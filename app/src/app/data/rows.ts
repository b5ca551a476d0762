import { Bank, Conditions, Rule } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import { Move } from '@enumeron/core/moves';
import { ALL_HANDLINGS, Tolerance } from '@enumeron/core/reckon';
import { Fact } from '@enumeron/core/reckon/facts';

/** How an order was made, where it was not written by hand: enough to make it again. */
export type Origin =
  | { readonly kind: 'rule'; readonly rule: Rule }
  | { readonly kind: 'bank'; readonly bank: Bank }
  | { readonly kind: 'random'; readonly seed: number; readonly conditions: Conditions }
  | { readonly kind: 'recipe'; readonly base: readonly Card[]; readonly moves: readonly Move[] };

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

/** One card that was seen in the pack as it lies now. */
export interface Glimpse {
  readonly at: 'face' | 'top';
  readonly card: Card;
}

/** The live pack: the order that it came from and the order in which it lies now. */
export interface PackRow {
  readonly id: 'pack';
  readonly orderId: string;
  readonly name: string;
  readonly home: readonly Card[];
  readonly now: readonly Card[];
  /** The last card seen; a move makes it untrue and takes it away. */
  readonly seen?: Glimpse;
}

export type LaidPack = Omit<PackRow, 'id'>;

/** Another pack of the set, as it lies beside the one in use. */
export interface BesideRow {
  readonly id: 'beside';
  readonly pack?: LaidPack;
}

/** The card and the number that were named. */
export interface WantedRow {
  readonly id: 'wanted';
  readonly card?: Card;
  /** A place from 1. */
  readonly number?: number;
}

/** What happened to the pack and was seen of it, and the pack that it was told of: another one makes it void. */
export interface FactsRow {
  readonly id: 'facts';
  readonly pack: readonly Card[];
  readonly facts: readonly Fact[];
}

/** What a field of a pattern holds. */
export type FieldValue = number | boolean | readonly number[];

/** What was told to each pattern of Reckon, by its address and the field's name. */
export interface PatternsRow {
  readonly id: 'patterns';
  readonly values: Readonly<Partial<Record<string, Readonly<Partial<Record<string, FieldValue>>>>>>;
}

export interface SettingsRow {
  readonly id: 'settings';
  readonly theme: 'system' | 'paper' | 'wings';
  /** Each suit in a tint of its own, not just red and black. */
  readonly suitTints: boolean;
  /** Whether single keys (1 to 7, /, d, u …) act outside of text fields. */
  readonly singleKeys: boolean;
  /** Which handlings the performer is happy to use; all of them until told otherwise. */
  readonly tolerance?: Tolerance;
}

/** Set once the demo data has been laid out, so that it does not come back by itself. */
export interface SeededRow {
  readonly id: 'seeded';
  readonly at: number;
}

export type StateRow = PackRow | BesideRow | WantedRow | FactsRow | PatternsRow | SettingsRow | SeededRow;

/** An order that is being written. Its id is that of the order that it will replace, or `new`. */
export interface DraftRow {
  readonly id: string;
  readonly name: string;
  readonly text: string;
}

/** What a table held under a key before and after; undefined means no row. */
export interface Change {
  readonly table: 'orders' | 'state';
  readonly key: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** One thing the user did, as the rows that it changed. */
export interface JournalRow {
  readonly id?: number;
  readonly label: string;
  readonly at: number;
  /** 0 once it has been undone, 1 while it stands (IndexedDB does not index booleans). */
  readonly done: 0 | 1;
  readonly changes: readonly Change[];
}

export const DEFAULT_SETTINGS: SettingsRow & { readonly tolerance: Tolerance } = {
  id: 'settings',
  theme: 'system',
  suitTints: false,
  singleKeys: true,
  tolerance: ALL_HANDLINGS,
};

/** The longest name of an order. */
export const NAME_LIMIT = 60;

/** What is wrong with a name, as a sentence, or undefined. Names are shown as text, and stay plain ones. */
export const nameProblem = (name: string): string | undefined => {
  if (name.trim() === '') return 'Give the order a name.';
  if (name.length > NAME_LIMIT)
    return `A name has at most ${NAME_LIMIT} characters; this one has ${name.length}.`;
  if (/[<>\p{Cc}]/u.test(name)) return 'A name holds no < or > and no control characters; take them out.';
  return undefined;
};
