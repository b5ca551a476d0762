export { type Case, type Cases, casesOf, type End } from './cases';
export { estimate, type EstimateArgs, type Estimated } from './estimate';
export {
  type Chances,
  hasChance,
  type Proof,
  type ProofArgs,
  type ProofProgress,
  prove,
  weigh,
} from './prove';
export { plainRule } from './plainRule';
export { readProcedure } from './readProcedure';
export { sayExpression, sayStep, sayWho, type SentencePart, stepSentence } from './sentence';
export { type Range, widestRange, type Widest } from './widestRange';
export { WORKED, type Worked } from './worked/worked';
