export {
  type Counting,
  describeCost,
  describeHandling,
  describeResult,
  describeSame,
  type Handling,
  handlings,
  landing,
} from './handling';
export { handSum, placeSum, type SumLine } from './handSum';
export { type KnownFact, type Reckoned, type Reckoning, type ReckonMark } from './reckoning';
export {
  ALL_HANDLINGS,
  easyRange,
  handlingMap,
  isTolerated,
  type Need,
  NEEDS,
  parseTolerance,
  toleratedFirst,
  type Tolerance,
} from './tolerance';
