export { type ActSeconds, actSeconds, ownCosts } from './actSeconds';
export { type Fit, fitChoice } from './fitChoice';
export {
  type Instruction,
  instructionKey,
  instructionsOf,
  type MadeChoice,
  statedChances,
  type StatedChoice,
  statedIn,
} from './instructions';
export { type Merged, mergeNights } from './merge';
export { cardsNamed as cardsNamedIn, type NamedOften, namedMore, numbersNamed, wordsNamed } from './named';
export {
  changedAt,
  doneIn,
  hitsOf,
  type Night,
  type NightHead,
  type NightSort,
  sortOf,
  tombstoneOf,
} from './night';
export { NIGHT } from './nightShape';
export { rateOf, type Seconds, secondsOf } from './rates';
export {
  byAudience,
  type MendedAt,
  mendedJunctions,
  overTime,
  type RoutineNight,
  type RoutineRate,
  routineRates,
  slipsOf,
} from './routines';
export { bandOf, compareWordings, type Share, shareWithin } from './within';
export { tableOf, weighed } from './weigh';
export { findNights, NIGHT_COLUMNS, type NightColumn, type NightWish, sortNights } from './findNights';
export { leftOut } from './leftOut';
export {
  ENDING_WORDS,
  sayChosen,
  sayChosenValue,
  sayHits,
  sayMinutes,
  sayTrouble,
  troublesOf,
} from './sayNight';
export { sinceLast, type ToPractise } from './sinceLast';
export {
  isSameChoice,
  notNoted,
  withChoice,
  withEnding,
  withoutDone,
  withDone,
  withText,
} from './changeNight';
export { type ChoiceAnswer, choiceAnswer, middleOf } from './answer';
export { type Counted, fitFor, instructionNamed, nightsCounted, observedIn } from './counted';
export {
  inHundred,
  sayChoices,
  sayCount,
  sayData,
  sayInstruction,
  sayShareOf,
  sayStated,
  sayStretch,
} from './sayChoices';
export { makeNightsFile, NIGHTS_FORMAT, readNightsFile } from './files/nightsFile';
export { nightCells, type TableField } from './files/nightTable';
export { guessMapping, type Mapping, type ReadTable, readNightTable } from './files/readNightTable';
export { tableNews } from './files/tableNews';
