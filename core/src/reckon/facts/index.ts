export { deduce, type Deduction, type Tally } from './deduce';
export { describeFact, FACT, type Fact, parseFact, type Unknown } from './fact';
export { reckonFacts, sayTally } from './sayDeduction';
