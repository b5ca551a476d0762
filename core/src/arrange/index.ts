export {
  BANK_POSITIONS,
  type BankText,
  likeGroupsBank,
  longestCountingRun,
  matesBank,
  readBank,
  suitBank,
} from './bankText';
export { checkPack, expectedNext, type PackCheck } from './check';
export { compareOrders, type Comparison } from './compare';
export { type Conditions, violations } from './conditions';
export { checkGlimpses, type GlimpseCheck, type PlacedCard } from './glimpseCheck';
export { type Freedom, gatherHeaps, heapNames, type Heaps, type Laid, layAll, layCard } from './laying';
export { PROPERTIES, properties } from './properties';
export { type Property } from './property';
export { askOrder, type CutCase, type Question, type QuestionAnswer, type Relation } from './question';
export { describeOrigin, freedomFor, MOST_MOVES, type Origin, parseOrigin } from './origin';
export { randomOrder } from './randomOrder';
export {
  arrangementBefore,
  inverseMoves,
  orderByRecipe,
  type Recipe,
  recipeSteps,
  sizeBefore,
} from './recipe';
export {
  describeRule,
  headRecipe,
  ORDER_RULES,
  orderByRule,
  parseRule,
  type Rule,
  stackNumberByRule,
} from './rule';
export { type Factory } from './rules/factory';
export { halfOfMates, type Mirrored } from './rules/mirrored';
export { type HeadRecipe, type OrderRule, type RuleField, type RuleTexts } from './rules/orderRule';
export { type RankRow, rankRowRecipe } from './rules/rankRow';
export { type Rotating, rotatingRecipe } from './rules/rotating';
export { sortingHeap, type SortingPlan, sortingPlan, sortingRows, sortingStart } from './sorting';
export {
  measureSpread,
  type Spread,
  spreadCounter,
  type SpreadCounts,
  type SpreadMeasure,
  spreadPercentile,
} from './spread';
export { suitLayout, type SuitLayout, type SuitRow } from './suitLayout';
export { exampleCard, headWay, type HeadWay, headWays } from './headWay';
