export { type Band, type ForecastArgs, forecastOf, type ForecastRuns } from './forecast';
export { type Blocks, blocksOf, parseEnds } from './blocks';
export { type AnswerKind, asksOf, NO_INPUT, pickCard, showTyped, type Typed, typeKey } from './entry';
export { recallRate, type TimedAnswer, usualTime } from './speed';
export { confusable } from './confusable';
export { DAY, dayOf, dayStart, HOUR } from './day';
export { type Answered, type Grade, gradeOf, isFluent, PACE, type Pace } from './grade';
export {
  type Direction,
  DIRECTION_WORDS,
  DIRECTIONS,
  type Item,
  itemId,
  itemsOf,
  judge,
  MORE_DIRECTIONS,
  parseItem,
  promptOf,
  sayConfused,
  truthOf,
  type Verdict,
} from './item';
export {
  dueItems,
  freshItems,
  isHeld,
  type Memories,
  type Next,
  nextItem,
  openBlocks,
  type Plan,
  type Standing,
} from './plan';
export {
  checkWeights,
  type Graded,
  type Memory,
  replay,
  type Schedule,
  SCHEDULE,
  scheduleBy,
  type ScheduleSettings,
} from './schedule';
export {
  type Answer,
  saidCards,
  saidNumber,
  saidOff,
  saidWeaves,
  sameSaid,
  showSaid,
  speakSaid,
} from './said';
export * from './sums';
export * from './standing';
export {
  type History,
  type Rescheduled,
  type RescheduleArgs,
  type ScheduleChange,
  scheduleChange,
} from './reschedule';
export { shareMinutes } from './shareMinutes';
export { bestRuns, RUN_WAYS, runSequence, type RunTimes, runTime, type RunWay, slowestSteps } from './run';
