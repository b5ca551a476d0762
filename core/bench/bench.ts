import { benchElsewhere } from './elsewhere';
import { benchLearner } from './learner';
import { benchPerforming } from './performing';
import { benchPlaces } from './places';
import { benchProcedures } from './procedures';
import { benchReckoning } from './reckoning';
import { benchWishing } from './wishing';

/** Each is measured in a process of its own, as it runs in a worker of its own: what ran before makes code slower. */
export const BENCHES = {
  reckoning: benchReckoning,
  elsewhere: benchElsewhere,
  places: benchPlaces,
  learner: benchLearner,
  procedures: benchProcedures,
  performing: benchPerforming,
  wishing: benchWishing,
} as const;
