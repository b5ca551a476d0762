export { bySuit } from './bySuit';
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
} from './card';
export { countOf } from './countOf';
export { type Glimpse, LAID_PACK, type LaidPack } from './laidPack';
export { mod } from './mod';
export {
  formatCard,
  isCardBegun,
  joinCards,
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
} from './notation';
export { cardAt, missingCards, numberOrder, type Order, placeOf, sameOrder } from './order';
export {
  checkEntries,
  type Entry,
  formatOrder,
  type OrderProblem,
  parseOrder,
  parsePart,
  readEntries,
} from './orderText';
export { type Outcome, type Problem, sayProblem } from './problem';
export { randomInt, type Rng, seededRng, shuffled } from './rng';
export {
  cardList,
  CARD,
  FLAG,
  type Fields,
  listOf,
  oneOf,
  optional,
  type Part,
  SEED,
  shape,
  type ShapeOf,
  whole,
} from './shape';
export { type Bank, type BankPosition, countingRun, fillSlots, freeSlots, layBank, parseBank } from './bank';
export { composedCardAt, type ComposedWay } from './composedCard';
export {
  breaksIn,
  cutBetween,
  cutForSeam,
  cutFor,
  fromFace,
  offsetFromFace,
  offsetFromTop,
  offsetOf,
  placeAfter,
  seamOf,
  stackNumberAt,
} from './offset';
export { type SumLine } from './sumLine';
