import { benchElsewhere } from './elsewhere';
import { benchLearner } from './learner';
import { benchMoving } from './moving';
import { benchPerforming } from './performing';
import { benchPlaces } from './places';
import { benchProcedures } from './procedures';
import { machineSpeed } from './processorTime';
import { benchReckoning } from './reckoning';
import { benchWishing } from './wishing';

/** Each is measured in a process of its own, as it runs in a worker of its own: what ran before makes code slower. */
const MEASURED = {
  moving: benchMoving,
  reckoning: benchReckoning,
  elsewhere: benchElsewhere,
  places: benchPlaces,
  learner: benchLearner,
  procedures: benchProcedures,
  performing: benchPerforming,
  wishing: benchWishing,
} as const;

/** The same with the speed of the machine before and behind it: figures of two runs are compared by it. */
export const BENCHES = Object.fromEntries(
  Object.entries(MEASURED).map(([name, measure]) => [
    name,
    () => {
      const before = machineSpeed();
      measure();
      const after = machineSpeed();
      console.log(
        `(${name}: the machine did ${before.toFixed(0)} and ${after.toFixed(0)} million fixed rounds a second)`,
      );
    },
  ]),
);
