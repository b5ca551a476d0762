export {
  chancesOf,
  deduce,
  type Deduction,
  findPossible,
  type Guess,
  type Possible,
  type State,
  type Tally,
} from './deduce';
export { describeFact, FACT, type Fact, parseFact, type Unknown } from './fact';
export { describeState, reckonFacts, sayTally } from './sayDeduction';
