import { Card } from '../deck/card';
import { Order } from '../deck/order';
import { Outcome } from '../deck/problem';
import { kindOf, Part, readBy, ShapesOf } from '../deck/shape';
import { Factory, FACTORY } from './rules/factory';
import { Mirrored, MIRRORED_HALVES, PALINDROME } from './rules/mirrored';
import { HeadRecipe, OrderRule } from './rules/orderRule';
import { RankRow, RANK_ROW } from './rules/rankRow';
import { Rotating, ROTATING } from './rules/rotating';
import { SpacedRun, SPACED_RUN } from './rules/spacedRun';

/** A way to compute a whole order from a few givens. */
export type Rule = Rotating | RankRow | Mirrored | Factory | SpacedRun;

export const ORDER_RULES: {
  readonly [Kind in Rule['kind']]: OrderRule<Rule & { readonly kind: Kind }>;
} = {
  rotating: ROTATING,
  'rank row': RANK_ROW,
  'mirrored halves': MIRRORED_HALVES,
  palindrome: PALINDROME,
  factory: FACTORY,
  'spaced run': SPACED_RUN,
};

const ruleOf = ({ kind }: Rule): OrderRule<Rule> => ORDER_RULES[kind];

const SHAPES = Object.fromEntries(
  Object.entries(ORDER_RULES).map(([kind, { shape }]) => [kind, shape]),
) as unknown as ShapesOf<Rule>;

/** A rule that is stored or stands in a file. */
export const RULE: Part = kindOf(SHAPES);

/** Reads a rule. Whether it computes an order is another question: `orderByRule` answers it. */
export const parseRule = (value: unknown): Outcome<{ readonly rule: Rule }> => readBy('rule', RULE, value);

/** The order that a rule computes, or why it computes none. */
export const orderByRule = (rule: Rule): Outcome<{ order: Order }> => ruleOf(rule).order(rule);

/** A rule in a few words, for a list. */
export const describeRule = (rule: Rule): string => ruleOf(rule).describe(rule);

/** The card that examples are worked with where no other is given: seven of diamonds. */
const EXAMPLE: Card = 19;

/** How stack numbers of a rule's order are computed in the head, one card worked out; undefined where they are not. */
export const headRecipe = (rule: Rule, card = EXAMPLE): HeadRecipe | undefined =>
  ruleOf(rule).head?.recipe(rule, card);

/** A card's stack number by the sum for the head; cards with rank and suit only. */
export const stackNumberByRule = (rule: Rotating | RankRow, card: Card): number => {
  const { head } = ruleOf(rule);
  if (!head) throw new Error(`no sum for ${rule.kind}`);
  return head.stackNumber(rule, card);
};
