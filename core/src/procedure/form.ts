import { Card } from '../deck/card';
import type { MixedTable } from './mixedTable';

/** What an expression gives: two kinds that are not compared with each other. */
export type Kind = 'number' | 'card';

/** Instead of a value, where there is none: the step cannot be done. Below every number that a name can hold. */
export const NONE = -(2 ** 30);
/** Numbers lie between this and its negative; what would be beyond cannot be worked out. */
export const LARGEST = 2 ** 30 - 2;

/** What expressions are read from: the table, and the values of names by their index. */
export interface World {
  readonly table: MixedTable;
  readonly values: Int32Array;
}

/** Gives an expression's value in a world: a number or a card; 1 or 0 for a condition; NONE where there is none. */
export interface Reader {
  (world: World): number;
  /** Set where it only reads a name: its index, so that the value is taken without a call. It is never NONE. */
  readonly index?: number;
  /** Set where it only looks up what a card's name holds: the table, and the index of the name. */
  readonly looked?: { readonly known: Int32Array; readonly index: number };
}

/** A card of which more is wanted than that it is this one: NONE where there is none, or it must be found out first. */
export const knownCard = ({ table }: World, card: number): number => (card < NONE ? table.known(card) : card);

/** Reads a name's value. */
export const valueAt = (index: number): Reader => {
  const read = ({ values }: World): number => values[index];
  return Object.assign(read, { index });
};

/** An order as the stack number of each card (0: not in it) and the card of each stack number (from 1). */
export interface Stack {
  readonly numbers: Int32Array;
  readonly cards: readonly Card[];
}

/** What may stand in a place of a form, and what is handed to its `read` for it. */
export interface Slots {
  number: Reader;
  card: Reader;
  /** A number or a card. */
  value: Reader;
  condition: Reader;
  numbers: readonly Reader[];
  twoNumbers: readonly Reader[];
  /** Two numbers, or two cards. */
  alike: readonly Reader[];
  conditions: readonly Reader[];
  packet: number;
  order: Stack;
  /** Cards one by one, or all of an order; undefined where one of them is none. */
  these: (world: World) => readonly Card[] | undefined;
  towards: 'face' | 'top';
}
export type Slot = keyof Slots;

/** A kind of expression or condition. To add one: a row in `FORMS`. */
export interface Form {
  /** Its fields and what stands in each; the first field names it. */
  readonly fields: Readonly<Record<string, Slot>>;
  /** Fields that may be left out. */
  readonly more?: Readonly<Record<string, Slot>>;
  /** The version of the language that it came with, if that was not the first. */
  readonly since?: 2;
  readonly gives: Kind | 'condition';
  /** Whether it looks at cards on the table; how many there are is open to all. */
  readonly looks: boolean;
  /**
   * How it is said: `{field}` stands for what is in it, `{field| and }` for the items of a list; what is between
   * brackets is left out where its field is.
   */
  readonly says: string;
  read(parts: Readonly<Record<string, never>>): Reader;
}

type PartsOf<Fields> = {
  readonly [Field in keyof Fields]: Fields[Field] extends Slot ? Slots[Fields[Field]] : never;
};

export const form = <
  Fields extends Readonly<Record<string, Slot>>,
  More extends Readonly<Record<string, Slot>>,
>(
  gives: Form['gives'],
  says: string,
  fields: Fields,
  read: (parts: PartsOf<Fields> & Partial<PartsOf<More>>) => Reader,
  rest: { readonly more?: More; readonly since?: 2 } = {},
): Form => ({
  // Who calls it hands over what its fields ask for.
  ...{ gives, says, fields, read: read as unknown as Form['read'], ...rest },
  looks: Object.values(fields).includes('packet') && !('size of' in fields),
});

/** All fields of a form, with what stands in each. */
export const slotsOf = ({ fields, more }: Form): readonly (readonly [field: string, slot: Slot])[] =>
  Object.entries({ ...fields, ...more });
