export { cardPaths, type Packets, packetsOf, pathOf } from './cardPaths';
export { mirroredMates, weaveCycles, type WeaveCycles } from './cycles';
export {
  diagnoseWeave,
  type DoubtfulWeave,
  type SeenCard,
  NEAR_MIDDLE,
  type WeaveDiagnosis,
  weaveDiagnosis,
  type WeaveExplanation,
} from './diagnose';
export { beyondPack, moveName } from './moveName';
export { PLACES, type PlacesPlan, type PlacesWish, planPlaces, type Wanted } from './planPlaces';
export { openMove, type TypedRow, typeRow } from './rowKeys';
export { weavePath, weavePaths } from './weavePath';
export { binaryLines, type WorkedWeave, workedWeaves } from './working';
export {
  ALL_KINDS,
  findRoute,
  findRow,
  LONGEST_MATES,
  LONGEST_ROW_SEARCHED,
  ROW,
  type RowFound,
  type RowGoal,
  type RowWish,
} from './rowSearch';
export { type RowKinds } from './rowSteps';
export { type RowProgress } from './turnedSearch';
export { invariants, type Invariant } from './invariants';
export {
  type Break,
  distancesAfter,
  namedByBreak,
  withExtraCard,
  withoutCard,
  withStandIn,
  type WrongCount,
} from './missingCard';
export { wayPoints } from './wayPoints';
export { sayExplanation, upperPlaces } from './explanationWords';
export { type LoggedWeave, type SlipBin, type WeaveRecord, weaveRecord } from './weaveLog';
