export { adjacentKindsChance, adjacentMatesChance } from './adjacentMates';
export { cutChances } from './cutChances';
export { type Estimate } from './interval';
export { narrowest, type Stretch } from './narrowest';
export { type OddsQuestion } from './question';
export { questionAt, QUESTIONS } from './questions';
export { riffleDistance } from './riffleDistance';
export { sayChance, sayTimes } from './sayChance';
export { oddsCurve, type OddsPoint, TRY_QUESTION, type TryArgs } from './tryQuestion';
