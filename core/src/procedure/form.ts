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
  /** Set where it is the same in every world. */
  readonly constant?: number;
  /** Set where it is made of one or two other things, so that it can be worked out for many worlds at once. */
  readonly made?: Made;
  /** Set where it only looks at one packet. */
  readonly seen?: Seen;
}

/** What is made of other things: `of` gives NONE where there is none, also where a part is NONE. */
export interface Made {
  readonly parts: readonly [Reader] | readonly [Reader, Reader];
  readonly of: (one: number, other: number) => number;
  /** Set where it is looked up by the one part: what is not in it is NONE. */
  readonly table?: Int32Array;
  /** Set where it is whether both parts are the same, 1 or 0. */
  readonly equal?: true;
  /** Set where it is the one part and so many times the other, as long as that is no larger than a number may be. */
  readonly times?: 1 | -1;
}

/** What is looked at: how many cards there are, the card at a place from 1, or how many lie face up. */
export type Seen =
  | { readonly what: 'size' | 'top' | 'face' | 'face up'; readonly packet: number }
  | { readonly what: 'card at'; readonly packet: number; readonly place: Reader };

/**
 * Reads what is made of one or two other things; where the first is none, the second is not looked at.
 *
 * @param read does the same in another way: faster, or where something must be found out first.
 */
export const making = (
  parts: Made['parts'],
  of: Made['of'],
  read?: (world: World) => number,
  times?: Made['times'],
): Reader => {
  const [one, other] = parts;
  const reading = (world: World): number => {
    const first = one(world);
    return first === NONE ? NONE : of(first, other ? other(world) : 0);
  };
  return Object.assign(read ?? reading, { made: { parts, of, ...(times && { times }) } });
};

/** Reads what a table has at a number from 0, NONE where that is not in it. @param read does the same in another way. */
export const lookingUp = (part: Reader, table: Int32Array, read?: (world: World) => number): Reader => {
  const of = (at: number): number => (at >= 0 && at < table.length ? table[at] : NONE);
  return Object.assign(read ?? ((world: World): number => of(part(world))), {
    made: { parts: [part] as const, of, table },
  });
};

/** Reads the same in every world. */
export const always = (value: number): Reader => Object.assign(() => value, { constant: value });

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
