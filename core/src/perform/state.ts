import { Card } from '../deck/card';

/** A value that is the same in every case, is known by these sights, or is not known. */
export type Told<Value> = Value | { readonly seen: readonly string[] } | 'unseen';

/** A packet that lies elsewhere than its order has it, or the other way about. Places and counts from 1. */
export interface Stray {
  /** The place of its top card. */
  readonly place: Told<number>;
  readonly count: Told<number>;
  /** The greatest count over all cases. */
  readonly most: number;
  /** Whether it runs backwards; of a single card whether it lies face up. */
  readonly reversed: boolean;
  readonly faceUp: boolean;
  /** Whether it lies where it belongs, and is only the other way about. */
  readonly stays: boolean;
  /** The stack number of the card that its first card comes after. */
  readonly behind: Told<number>;
}

/** Cards of the home order that are not in the pack, at one place; `gone` never comes back. */
export interface Out {
  readonly where: string;
  readonly count: Told<number>;
  readonly most: number;
  readonly cards: Told<readonly Card[]>;
  /** Whether they are one packet in sequence; then what follows is told, too. */
  readonly packet?: true;
  readonly reversed?: boolean;
  readonly faceUp?: boolean;
  readonly behind?: Told<number>;
}

/** Known cards at one end of a pack, in their sequence or, loose, in any. */
export interface BankThere {
  readonly cards: readonly Card[];
  readonly at: 'top' | 'face';
  readonly loose: boolean;
}

/** By how much a routine turns the pack on: more than it was turned before. */
export interface Plus {
  readonly plus: number | { readonly seen: readonly string[] };
}

/** How a pack lies between two routines. */
export type PackState =
  | { readonly lies: 'ready' }
  | {
      readonly lies: 'home';
      /** How many cards of the top of the home order lie at the bottom, 0 to one less than the pack. */
      readonly turn: Told<number> | Plus;
      readonly packets: readonly Stray[];
      readonly out: readonly Out[];
      /** The greatest number of strangers in the pack. */
      readonly extra: number;
    }
  | { readonly lies: 'bank'; readonly bank: BankThere; readonly out: readonly Out[]; readonly extra: number }
  | {
      readonly lies: 'lost';
      /** Whether any card of the home order lies face up. */
      readonly faceUp: boolean;
      readonly out: readonly Out[];
      readonly extra: number;
    };

/** A card as it lies. */
export interface LyingCard {
  readonly card: Card;
  readonly faceUp: boolean;
}

/** Of a pack that was never used there is nothing to tell. */
export const outOf = (state: PackState): readonly Out[] => (state.lies === 'ready' ? [] : state.out);

export const extraIn = (state: PackState): number => (state.lies === 'ready' ? 0 : state.extra);

/** How many cards are out at most, over all cases. */
export const mostOut = (state: PackState): number => outOf(state).reduce((sum, { most }) => sum + most, 0);
