export { reckonBankPacket } from './bankPacket';
export { reckonComposedCard } from './composedCard';
export { reckonCountDown } from './countDown';
export { reckonDealtBack } from './dealtBack';
export { digitSumPlace, reckonNextRanks } from './digitSum';
export { reckonGap } from './gapCards';
export { estimatesOf, KEY_CARD, type KeyCardHits, keyCardTry, keyCardUse, reckonKeyCard } from './keyCard';
export { movedCards, reckonMovedCard } from './movedCard';
export {
  type Call,
  lineCalls,
  type LineSetup,
  type LineStop,
  type LineTold,
  numberLine,
  type NumberLine,
  reckonNumberLine,
} from './numberLine';
export { type Pattern, type PatternPack } from './pattern';
export { PATTERNS } from './patterns';
export { reckonShortGroup } from './shortGroup';
export { reckonTwoCards } from './twoCards';
export { type Prediction, reckonTwoCuts } from './twoCuts';
