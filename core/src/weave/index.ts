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
export { MOST_WANTED, planPlaces, type PlacesWish, type Wanted } from './planPlaces';
export { weavePath, weavePaths } from './weavePath';
