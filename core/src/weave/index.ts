export { weaveCycles, type WeaveCycles } from './cycles';
export {
  diagnoseWeave,
  type DoubtfulWeave,
  type SeenCard,
  MOST_EXPLANATIONS,
  NEAR_MIDDLE,
  type WeaveDiagnosis,
  weaveDiagnosis,
  type WeaveExplanation,
} from './diagnose';
export { weavePath, weavePaths } from './weavePath';
