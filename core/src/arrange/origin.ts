import { Card } from '../deck/card';
import { Outcome } from '../deck/problem';
import { cardList, kindOf, listOf, readBy, SEED, ShapesOf } from '../deck/shape';
import { Move, MOVE } from '../moves/move';
import { Bank, BANK } from '../deck/bank';
import { Conditions, CONDITIONS } from './conditions';
import { Rule, RULE } from './rule';

/** How an order was made, where it was not written by hand: enough to make it again. */
export type Origin =
  | { readonly kind: 'rule'; readonly rule: Rule }
  | { readonly kind: 'bank'; readonly bank: Bank }
  | { readonly kind: 'random'; readonly seed: number; readonly conditions: Conditions }
  | { readonly kind: 'recipe'; readonly base: readonly Card[]; readonly moves: readonly Move[] };

/** The most moves of a recipe. */
export const MOST_MOVES = 1000;

const SHAPES: ShapesOf<Origin> = {
  rule: { rule: RULE },
  bank: { bank: BANK },
  random: { seed: SEED, conditions: CONDITIONS },
  recipe: { base: cardList(1), moves: listOf(MOVE, 0, MOST_MOVES) },
};

/** Reads how an order was made. */
export const parseOrigin = (value: unknown): Outcome<{ readonly origin: Origin }> =>
  readBy('origin', kindOf(SHAPES), value);
