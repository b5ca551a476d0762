import { Bank } from '../../deck/bank';
import { Order } from '../../deck/order';
import { Form, Values } from '../../form/field';
import { Estimate } from '../../odds/interval';
import { Reckoned } from '../reckoning';

export interface PatternPack {
  readonly home: Order;
  readonly now: Order;
  /** The bank of the order that the pack is in, where it has one. */
  readonly bank: Bank | undefined;
  /** How many cards the performer is happy to move. */
  readonly shift: number;
  /** How often a key card still leads to the same bank card, as far as it has been tried. */
  readonly estimates: readonly Estimate[];
}

/** A pattern of live computation: what it must be told, and how it answers. */
export interface Pattern extends Form {
  /** Its address. */
  readonly path: string;
  /** What it is for, in one sentence. */
  readonly lead: string;
  readonly needsBank?: boolean;
  /** Values to try it with, for whoever has none yet. */
  example?(pack: PatternPack): Values;
  reckon(values: Values, pack: PatternPack): Reckoned;
  /** What the job `sent pattern` is asked in the place of `reckon`, where that takes longer than a frame or two. */
  beside?(values: Values, pack: PatternPack): unknown;
}

export const bankOf = ({ bank }: PatternPack): Bank => bank ?? { cards: [], places: [] };

/** The card at a part of the pack from the top (0) to the face (1): one for an example. */
export const cardAtPart = (now: Order, part: number): number => now[Math.round((now.length - 1) * part)];
export const ofBank = (pack: PatternPack): number => {
  const { cards } = bankOf(pack);
  return cards[Math.floor(cards.length / 2)];
};
