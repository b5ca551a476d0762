export {
  type Card,
  cardOf,
  type Colour,
  colourOf,
  firstOf,
  FULL_PACK,
  isCard,
  isJoker,
  isSecond,
  JOKERS,
  LARGEST_PACK,
  looksLike,
  mateOf,
  type Rank,
  rankOf,
  RANKS,
  secondOf,
  type Suit,
  suitOf,
  SUITS,
} from './deck/card';
export { mod } from './deck/mod';
export {
  formatCard,
  parseCard,
  parseRank,
  parseSuit,
  showCard,
  showRank,
  showSuit,
  speakCard,
  speakRank,
  speakSuit,
  whyNotCard,
} from './deck/notation';
export { cardAt, missingCards, numberOrder, type Order, placeOf, sameOrder } from './deck/order';
export {
  checkEntries,
  type Entry,
  formatOrder,
  type OrderProblem,
  parseOrder,
  parsePart,
  readEntries,
} from './deck/orderText';
export { type Outcome, type Problem, sayProblem } from './deck/problem';
export { below, type Rng, seededRng, shuffled } from './deck/rng';
export { type Cut, cut } from './moves/cut';
export { type Deal, deal } from './moves/deal';
export { type DealHeaps, type UndealHeaps } from './moves/dealHeaps';
export { type Overhand } from './moves/overhand';
export { type MovePacket, type ReversePacket } from './moves/packet';
export { type Riffle } from './moves/riffle';
export { adjacentMatesChance, riffleDistance } from './moves/riffleDistance';
export { type Put, type Take } from './moves/takePut';
export {
  type Unweave,
  unweave,
  type UnweavePacket,
  type Weave,
  weave,
  type WeaveKind,
  type WeavePacket,
} from './moves/weave';
export { applyMove, describeMove, invertMove, type Move, placeAfterMove } from './moves/move';
export { cards } from './moves/wording';
export {
  type Counting,
  describeCost,
  describeHandling,
  describeResult,
  describeSame,
  type Handling,
  handlings,
  landing,
} from './reckon/handling';
export { handSum, placeSum, type SumLine } from './reckon/handSum';
export {
  breaksIn,
  cutBetween,
  cutFor,
  fromFace,
  offsetFromFace,
  offsetFromTop,
  offsetOf,
  placeAfter,
  seamOf,
  stackNumberAt,
} from './reckon/offset';
export { properties } from './arrange/properties';
export { type Property } from './arrange/property';
export {
  askOrder,
  composedCardAt,
  type ComposedWay,
  type CutCase,
  type Question,
  type QuestionAnswer,
  type Relation,
} from './arrange/question';
export { arrangementBefore, inverseMoves, orderByRecipe, type Recipe, recipeSteps } from './arrange/recipe';
export {
  type Factory,
  halfOfMates,
  type Mirrored,
  orderByRule,
  type RankRow,
  type Rotating,
  type Rule,
} from './arrange/rule';
export { sortingHeap, sortingPass, type SortingPlan, sortingPlan } from './arrange/sorting';
export {
  measureSpread,
  type Spread,
  SPREAD_MEASURES,
  spreadCounter,
  type SpreadCounts,
  type SpreadMeasure,
  spreadPercentile,
} from './arrange/spread';
export { type HeadRecipe, rankRowRecipe, rotatingRecipe, stackNumberByRule } from './arrange/stackNumber';
export { checkPack, type PackCheck } from './arrange/check';
export {
  type Freedom,
  freedomFits,
  gatherHeaps,
  heapNames,
  type Heaps,
  type Laid,
  layAll,
  layCard,
} from './arrange/laying';
export { suitLayout, type SuitLayout, type SuitRow } from './arrange/suitLayout';
export { compareOrders, type Comparison } from './arrange/compare';
export { checkGlimpses, type GlimpseCheck, type PlacedCard } from './arrange/glimpseCheck';
export { findRoute, type RouteProgress, searchRoute } from './arrange/route';
export { type Bank, type BankPosition, countingRun, fillSlots, freeSlots, layBank } from './arrange/bank';
export { type Conditions, faults, randomOrder } from './arrange/randomOrder';
export { makeOrderJson, type OrderFile, parseOrderJson } from './formats/orderJson';
export { layOut, ORDER_LAYOUTS, type OrderLayout } from './formats/orderLayouts';
export { makeStripSvg } from './formats/stripSvg';
export { deduce, type Deduction, type Tally } from './reckon/deduce';
export { describeFact, type Fact, type Unknown } from './reckon/fact';
export { reckonFacts, sayTally } from './reckon/sayDeduction';
export { type KnownFact, type Reckoned, type Reckoning, type ReckonMark } from './reckon/reckoning';
export {
  ALL_HANDLINGS,
  easyRange,
  handlingMap,
  isTolerated,
  type Need,
  NEEDS,
  toleratedFirst,
  type Tolerance,
} from './reckon/tolerance';
export { numberLine, reckonNumberLine } from './reckon/numberLine';
export { reckonTwoCards } from './reckon/twoCards';
export { type Prediction, reckonTwoCuts } from './reckon/twoCuts';
export { reckonBankPacket } from './reckon/bankPacket';
export { reckonCountDown } from './reckon/countDown';
export { digitSumPlace, reckonNextRanks } from './reckon/digitSum';
export { reckonComposedCard } from './reckon/composedCard';
export { reckonGap } from './reckon/gapCards';
export { reckonShortGroup } from './reckon/shortGroup';
export { type Estimate, keyCardCounter, reckonKeyCard } from './reckon/keyCard';
export { reckonDealtBack } from './reckon/dealtBack';
export { movedCards, reckonMovedCard } from './reckon/movedCard';
export { enumerate } from './table/enumerate';
export { compile, type Program } from './table/program';
export { type Quantity, type Sight, type Start, type Step } from './table/step';
