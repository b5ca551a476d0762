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
export { readProcedure } from './readProcedure';
