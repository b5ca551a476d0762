export { afterRoutine } from './afterRoutine';
export { behindOthers, type BehindOther } from './behindOthers';
export { type Act, type ActCost, MEND_COSTS, type MendCosts, type MendPart } from './costs';
export { type Ending, leaves, type Leaves, LEAVES, type LeavesOptions, turnsThatHold } from './leaves';
export { mend, type Mend, type MendOptions } from './mend';
export { meets, type PackNeed } from './need';
export type { OrderedRoutine, OrderWish, PackPart, WishedPack } from './orderWish';
export type { JunctionMend, Price } from './junction';
export {
  bestRunningOrder,
  type Junction,
  type Running,
  RUNNING_ORDER,
  type RunningOutcome,
} from './runningOrder';
export { packState } from './packState';
export type { BankThere, LyingCard, Out, PackState, Plus, Stray, Told } from './state';
export { restore, type RestoreOptions, restoring, type Restoring } from './restore/restoring';
export { along, type JunctionAlong, type PackAlong, runAsTheyStand, type StateMend } from './along';
export { glimpsed, type Glimpsed, HAPPENED, type Happened } from './glimpses';
export { RESET, type ResetArgs, type ResetPlan, resetPlan, type ResetStep, sayMoveByCards } from './reset';
export {
  type Caution,
  CAUTIONS,
  MOST_IN_SET,
  newRoutine,
  newSet,
  type Routine,
  ROUTINE,
  type RoutinePack,
  type RoutinePair,
  SET_LIST,
  SET_UP,
  type SetList,
  withoutRoutine,
} from './routine';
export {
  type NamedHome,
  UNKNOWN_HOME,
  sayLeaves,
  sayMend,
  sayNeed,
  sayState,
  sayTurn,
  whyNoMend,
} from './say';
export { NEED, STATE } from './stateShape';
export { bankOf, packsIn, WORKED_OUT, type WorkedOut, type WorkedOutArgs } from './workedOut';
export {
  type CarriedRoutine,
  type CarriedSet,
  LONGEST_SET_FILE,
  makeSetFile,
  readSetFile,
  SET_FORMAT,
} from './setFile';
export { WORKED_OUT_SHAPE } from './workedOutShape';
export { type FixedPoint, fixedPointsOf, isKept, sayPoint, withoutPoint, withPoint } from './fixedPoints';
export { pictureOfState, type StatePicture } from './picture';
export {
  DECLARED,
  type Declared,
  declaredOf,
  declaredState,
  type Lie,
  LIES,
  NEEDED,
  type Needed,
  neededOf,
} from './declared';
export { type DoneFromHere, fromHere, type PackLack, type PackNow } from './fromHere';
