export { type Case, type Cases, casesOf, type End, MOST_CASES } from './cases';
export { ESTIMATE, estimate, type EstimateArgs, type Estimated } from './estimate';
export {
  type Chances,
  hasChance,
  type Proof,
  PROOF,
  type ProofArgs,
  type ProofProgress,
  prove,
  weigh,
  WEIGHT,
} from './prove';
export { plainRule } from './plainRule';
export { readProcedure } from './readProcedure';
export { sayExpression, sayStep, sayWho, type SentencePart, stepSentence } from './sentence';
export { type Range, widestRange, type Widest } from './widestRange';
export { WORKED, type Worked } from './worked/worked';
