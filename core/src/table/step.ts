import { Card } from '../deck/card';

/** A number that a step needs: as it stands, or one that was named before, or how many cards a packet has. */
export type Quantity =
  | number
  | { readonly name: string; readonly plus?: number }
  | { readonly sizeOf: string; readonly plus?: number };

/** What can be seen of a packet on the table. A place counts from 1 at its top; with `round`, 0 is the last. */
export type Sight =
  | {
      readonly of: 'card' | 'rank' | 'suit';
      readonly packet: string;
      readonly place: Quantity;
      readonly round?: true;
    }
  | { readonly of: 'size'; readonly packet: string };

/**
 * One plain thing that happens to packets of cards on a table. A packet that is named for the first time is
 * empty until then. What cannot be done (a packet has too few cards) makes a world impossible.
 */
export type Step =
  /** Somebody's free choice: a whole number, both ends included. */
  | { readonly do: 'choose'; readonly name: string; readonly from: Quantity; readonly to: Quantity }
  /** The top `count` cards of a packet go to its bottom. */
  | { readonly do: 'cut'; readonly packet: string; readonly count: Quantity }
  /** The top `count` cards, as they are, go onto another packet. */
  | { readonly do: 'lift'; readonly count: Quantity; readonly from: string; readonly onto: string }
  /** A whole packet goes on or under another. */
  | { readonly do: 'put'; readonly packet: string; readonly where: 'on' | 'under'; readonly other: string }
  /** A packet is flipped, that is, turned over: its order is reversed and every card shows its other side. */
  | { readonly do: 'flip'; readonly packet: string }
  /** Cards are dealt one by one, which reverses them. */
  | { readonly do: 'deal'; readonly count: Quantity; readonly from: string; readonly onto: string }
  /** A packet is dealt round into heaps, and these are gathered: their numbers from 1, from the top down. */
  | {
      readonly do: 'deal heaps';
      readonly packet: string;
      readonly heaps: number;
      readonly gather: readonly number[];
    }
  /** One card leaves a packet and goes onto another. With `round`, a place behind the last is the first again. */
  | {
      readonly do: 'take';
      readonly place: Quantity;
      readonly from: string;
      readonly onto: string;
      readonly round?: true;
    }
  /** The top card of a packet goes into another, to lie at a place there. */
  | { readonly do: 'insert'; readonly packet: string; readonly into: string; readonly place: Quantity }
  /**
   * Something is seen. With `is` (a card, rank, suit or size), worlds in which it is something else are left out
   * (a card looks like either copy of a duplicate); with `name`, it is remembered as a number.
   */
  | { readonly do: 'see'; readonly sight: Sight; readonly is?: number; readonly name?: string }
  /** A number lies in a range, both ends included, or the world is left out. */
  | { readonly do: 'require'; readonly number: Quantity; readonly from: Quantity; readonly to: Quantity }
  /** The first number leaves this remainder when it is divided by the second, or the world is left out. */
  | { readonly do: 'require remainder'; readonly number: Quantity; readonly by: number; readonly is: number };

/** The packets on the table at the beginning, by name, top card first and face down. */
export type Start = Readonly<Record<string, readonly Card[]>>;
