export { fluencyOf, type Fluency, needOf, nextLevel, type SumAnswer, TARGET, WANTED_TIME } from './fluency';
export { kindsFor, kindsOfWay, SUM_KINDS, sumKind } from './kinds';
export {
  askSum,
  type Drawn,
  drawSum,
  type Hard,
  type Inputs,
  type Level,
  LEVELS,
  type Sum,
  type SumKind,
  type SumPack,
} from './sum';
