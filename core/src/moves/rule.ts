import { Order } from '../deck/order';
import { ShapeOf } from '../deck/shape';

/** How a move is written by hand, as in the ask line and in a recipe. */
export interface Written<M> {
  /** An example: `cut 12`. */
  readonly usage: string;
  /** What it does, in a few words: `cards cut from top to bottom`. */
  readonly says: string;
  /** The whole text in small letters, with single blanks. */
  readonly pattern: RegExp;
  /**
   * The move for what the pattern found, done to `now`: or what is wrong as a sentence, or undefined where the text is
   * no such move.
   */
  parse(found: readonly string[], now: Order): M | string | undefined;
}

/** Everything that is known of one kind of move: a kind is one file, and a row in `move.ts`. */
export interface Rule<M, Back = M> {
  /** What its fields must be when it is read from storage or a file. */
  readonly shape: ShapeOf<M>;
  /** How it is written; kinds without it come from elsewhere. */
  readonly written?: Written<M>;
  apply(order: Order, move: M): Order;
  /** The move that takes it back, for a pack of `size` cards; undefined where there is none. */
  invert(move: M, size: number): Back | undefined;
  /** Where the card at `place` (from 1) goes in a pack of `size` cards; undefined when it leaves the pack. */
  place(move: M, place: number, size: number): number | undefined;
  /** One sentence that tells a person how to do it, to a pack of `size` cards where that is known. */
  describe(move: M, size?: number): string;
}

/** Chance made it: nobody can take it back. */
export const never = (): undefined => undefined;
