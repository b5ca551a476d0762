import { Card } from '../deck/card';
import { Order } from '../deck/order';
import { Outcome } from '../deck/problem';
import { cardList, kindOf, listOf, Part, readBy, SEED, ShapesOf } from '../deck/shape';
import { Move, MOVE } from '../moves/move';
import { Bank, BANK } from '../deck/bank';
import { Conditions, CONDITIONS } from './conditions';
import { Freedom, freedomFits } from './laying';
import { describeRule, ORDER_RULES, Rule, RULE } from './rule';

/** How an order was made, where it was not written by hand: enough to make it again. */
export type Origin =
  | { readonly kind: 'rule'; readonly rule: Rule }
  | { readonly kind: 'bank'; readonly bank: Bank }
  | { readonly kind: 'random'; readonly seed: number; readonly conditions: Conditions }
  | { readonly kind: 'recipe'; readonly base: readonly Card[]; readonly moves: readonly Move[] }
  /** Found for a list of wishes; what stands in it is read where it is opened. */
  | { readonly kind: 'wishes'; readonly list: Readonly<Record<string, unknown>> };

/** The most moves of a recipe. */
export const MOST_MOVES = 1000;

/** The longest list of wishes that is kept, as a text. */
const LONGEST_LIST = 200_000;

const WISHES_KEPT: Part = (value) => {
  const list = value as { readonly pack?: unknown; readonly wishes?: unknown } | null;
  if (typeof value !== 'object' || !Array.isArray(list?.pack) || !Array.isArray(list.wishes))
    return { what: 'This is no list of wishes.', remedy: 'It has a pack and its wishes.' };
  return JSON.stringify(value).length > LONGEST_LIST
    ? { what: 'This list of wishes is too long.', remedy: 'Take some out.' }
    : undefined;
};

const SHAPES: ShapesOf<Origin> = {
  rule: { rule: RULE },
  bank: { bank: BANK },
  random: { seed: SEED, conditions: CONDITIONS },
  recipe: { base: cardList(1), moves: listOf(MOVE, 0, MOST_MOVES) },
  wishes: { list: WISHES_KEPT },
};

/** Reads how an order was made. */
export const parseOrigin = (value: unknown): Outcome<{ readonly origin: Origin }> =>
  readBy('origin', kindOf(SHAPES), value);

/** How an order was made, in a few words for a list. */
export const describeOrigin = (origin: Origin): string => {
  switch (origin.kind) {
    case 'rule':
      return describeRule(origin.rule);
    case 'recipe':
      return `recipe of ${origin.moves.length}`;
    case 'bank':
      return `bank at ${origin.bank.places[0]}`;
    case 'random':
      return 'at random';
    case 'wishes':
      return 'by wishes';
  }
};

const freedomOf = (origin: Origin): Freedom | undefined => {
  if (origin.kind === 'bank') return { kind: 'bank', bank: origin.bank };
  if (origin.kind !== 'rule') return undefined;
  const { kind } = origin.rule;
  return ORDER_RULES[kind].matesFree ? { kind: kind as 'mirrored halves' | 'palindrome' } : undefined;
};

/** What an order leaves free by the way in which it was made, where it leaves anything and still lies so. */
export const freedomFor = (origin: Origin | undefined, order: Order): Freedom | undefined => {
  const freedom = origin && freedomOf(origin);
  return freedom && freedomFits(freedom, order) ? freedom : undefined;
};
