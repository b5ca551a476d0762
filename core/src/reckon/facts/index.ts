export { deduce, type Deduction, type Tally } from './deduce';
export { describeFact, type Fact, type Unknown } from './fact';
export { reckonFacts, sayTally } from './sayDeduction';
