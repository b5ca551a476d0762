export {
  chancesOf,
  deduce,
  type Deduction,
  findPossible,
  type Guess,
  type Possible,
  type State,
} from './deduce';
export { describeFact, FACT, type Fact, parseFact } from './fact';
export { FACT_FORMS, type FactForm } from './factForms';
export { type Unknown } from './factSteps';
export { describeState, reckonFacts } from './sayDeduction';
