import { PROPERTIES } from './arrange/properties';
import { RANDOM_ORDER } from './arrange/randomOrder';
import { ROW } from './weave/rowSearch';
import { SPREADS } from './arrange/spread';
import { BUSY_ROW } from './rehearse/busyRow';
import { SENT_PATTERN } from './rehearse/asPattern';
import { CURVE } from './rehearse/curve';
import { ESTIMATE } from './rehearse/estimate';
import { KNOWING } from './rehearse/knowing';
import { IN_TIME } from './rehearse/outsInTime';
import { TRY_QUESTION } from './odds/tryQuestion';
import { PROOF, WEIGHT } from './rehearse/prove';
import { STUDY } from './rehearse/study';
import { VERDICT } from './rehearse/verdict';
import { FIND_ORDER } from './wish/findOrder';
import { WISH_CHECKS } from './wish/wishChecks';
import { FORECAST } from './learn/forecast';
import { RESCHEDULE } from './learn/reschedule';
import { POSSIBLE } from './reckon/facts/deduce';
import { KEY_CARD } from './reckon/patterns/keyCard';
import { RUNNING_ORDER } from './perform/runningOrder';
import { RESET } from './perform/reset';
import { WORKED_OUT } from './perform/workedOut';
import { DIAGNOSIS } from './weave/diagnose';
import { INVARIANTS } from './weave/invariants';
import { PLACES } from './weave/planPlaces';

/** Every long computation, by name. To add one: its file with its `JobRule`, and a row here. */
export const JOBS = {
  'busy row': BUSY_ROW,
  curve: CURVE,
  diagnosis: DIAGNOSIS,
  estimate: ESTIMATE,
  forecast: FORECAST,
  'key card': KEY_CARD,
  knowing: KNOWING,
  'in time': IN_TIME,
  invariants: INVARIANTS,
  places: PLACES,
  possible: POSSIBLE,
  proof: PROOF,
  properties: PROPERTIES,
  'random order': RANDOM_ORDER,
  reschedule: RESCHEDULE,
  reset: RESET,
  row: ROW,
  'running order': RUNNING_ORDER,
  'sent pattern': SENT_PATTERN,
  spreads: SPREADS,
  study: STUDY,
  'try question': TRY_QUESTION,
  verdict: VERDICT,
  weight: WEIGHT,
  wish: FIND_ORDER,
  'wish checks': WISH_CHECKS,
  'worked out': WORKED_OUT,
} as const;
