import { Job, JobRule } from '../job/job';
import { Procedure } from '../procedure/procedure';
import { Chances, WEIGHT } from './prove';
import { readProcedure } from './readProcedure';

export interface CurveArgs {
  readonly procedure: Procedure;
  /** The given that changes, and from what to what. */
  readonly given: string;
  readonly from: number;
  readonly to: number;
}

/** The chances with one value of the given; none where it cannot be laid out so, or takes too long. */
export interface CurvePoint {
  readonly value: number;
  readonly chances: Chances | undefined;
}

const BUDGET = 20_000_000;

/** How the chances move as one of the givens changes, as a job: it yields the points so far. */
export const CURVE: JobRule<CurveArgs, readonly CurvePoint[], readonly CurvePoint[]> = {
  *start({ procedure, given, from, to }) {
    const points: CurvePoint[] = [];
    for (let value = from; value <= to; value++) {
      const read = readProcedure({ ...procedure, givens: { ...procedure.givens, [given]: value } });
      points.push({ value, chances: read.ok ? yield* quietly(read.procedure, points) : undefined });
      yield [...points];
    }
    return points;
  },
};

function* quietly(
  procedure: Procedure,
  points: readonly CurvePoint[],
): Job<readonly CurvePoint[], Chances | undefined> {
  const job = WEIGHT.start({ procedure, budget: BUDGET });
  for (;;) {
    const step = job.next();
    if (step.done) return step.value;
    yield [...points];
  }
}
