export { checkPack, type PackCheck } from './check';
export { compareOrders, type Comparison } from './compare';
export { type Conditions, faults } from './conditions';
export { checkGlimpses, type GlimpseCheck, type PlacedCard } from './glimpseCheck';
export {
  type Freedom,
  freedomFits,
  gatherHeaps,
  heapNames,
  type Heaps,
  type Laid,
  layAll,
  layCard,
} from './laying';
export { properties } from './properties';
export { type Property } from './property';
export { askOrder, type CutCase, type Question, type QuestionAnswer, type Relation } from './question';
export { MOST_MOVES, type Origin, parseOrigin } from './origin';
export { RANDOM_ORDER, randomOrder } from './randomOrder';
export {
  arrangementBefore,
  inverseMoves,
  orderByRecipe,
  type Recipe,
  recipeSteps,
  sizeBefore,
} from './recipe';
export { findRoute, ROUTE, type RouteProgress, searchRoute } from './route';
export { halfOfMates, orderByRule } from './orderByRule';
export { type Factory, type Mirrored, parseRule, type RankRow, type Rotating, type Rule } from './rule';
export { sortingHeap, sortingPass, type SortingPlan, sortingPlan } from './sorting';
export {
  measureSpread,
  type Spread,
  SPREAD_MEASURES,
  spreadCounter,
  type SpreadCounts,
  type SpreadMeasure,
  spreadPercentile,
  SPREADS,
} from './spread';
export { type HeadRecipe, rankRowRecipe, rotatingRecipe, stackNumberByRule } from './stackNumber';
export { suitLayout, type SuitLayout, type SuitRow } from './suitLayout';
