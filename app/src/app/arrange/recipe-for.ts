import { HeadRecipe, rankRowRecipe, rotatingRecipe, Rule } from '@enumeron/core/arrange';

/** The card that examples are worked with: seven of diamonds. */
const EXAMPLE = 19;

/** How an order's stack numbers are computed in the head; only rules with a rank and suit of their own have that. */
export const recipeFor = (rule: Rule): HeadRecipe | undefined =>
  rule.kind === 'rotating'
    ? rotatingRecipe(rule, EXAMPLE)
    : rule.kind === 'rank row'
      ? rankRowRecipe(rule, EXAMPLE)
      : undefined;
