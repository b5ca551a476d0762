export { fitting, type Fits } from './fits';
export { follow, type Followed, isSameSight } from './followed';
export { type Answer, END } from './search';
export type { Ask, RunPage, StepPage } from './page';
export { Pages } from './pages';
export {
  ENDS,
  type HowEnded,
  type HowLeft,
  type Plan,
  type PlannedPack,
  type PlannedRoutine,
  type Tap,
  type TimedTap,
} from './plan';
export { type Live, type Mending, type PacksNow, type Phase, type Run } from './performance';
export { beginLive, packsAtPage, performed, tapped, TO_END } from './perform';
export { MOST_TAPS, PLAN, TIMED_TAP } from './shape';
export {
  ROUTINE_ENDINGS,
  type RoutineDone,
  type RoutineEnding,
  type Sort,
  type Took,
  type WasChosen,
} from './done';
export { ROUTINE_DONE } from './doneShape';
