import { PROPERTIES } from './arrange/properties';
import { RANDOM_ORDER } from './arrange/randomOrder';
import { ROW } from './weave/rowSearch';
import { SPREADS } from './arrange/spread';
import { ESTIMATE } from './rehearse/estimate';
import { PROOF, WEIGHT } from './rehearse/prove';
import { FORECAST } from './learn/forecast';
import { RESCHEDULE } from './learn/reschedule';
import { POSSIBLE } from './reckon/facts/deduce';
import { KEY_CARD } from './reckon/patterns/keyCard';
import { DIAGNOSIS } from './weave/diagnose';
import { LIVING } from './weave/living';
import { PLACES } from './weave/planPlaces';

/** Every long computation, by name. To add one: its file with its `JobRule`, and a row here. */
export const JOBS = {
  diagnosis: DIAGNOSIS,
  estimate: ESTIMATE,
  forecast: FORECAST,
  'key card': KEY_CARD,
  'living properties': LIVING,
  places: PLACES,
  possible: POSSIBLE,
  proof: PROOF,
  properties: PROPERTIES,
  'random order': RANDOM_ORDER,
  reschedule: RESCHEDULE,
  row: ROW,
  spreads: SPREADS,
  weight: WEIGHT,
} as const;
