import { JobRule, runJob } from '../job/job';
import { Estimate, estimate as interval } from '../odds/interval';
import { seededRng } from '../deck/rng';
import { Machine } from '../procedure/machine';
import { Procedure } from '../procedure/procedure';
import { compile } from '../procedure/compile';
import { BUDGET } from './prove';

/** What came of worlds in which everything was drawn by chance. */
export interface Estimated {
  /** How many worlds were not left out. */
  readonly worlds: number;
  readonly leftOut: number;
  readonly held: Estimate;
  readonly outs: Estimate;
  readonly failed: Estimate;
  /** The paths of steps that claim something to be known: trying cannot tell whether it is. */
  readonly unjudged: readonly string[];
}

export interface EstimateArgs {
  readonly procedure: Procedure;
  readonly seed: number;
  /** How many worlds are tried at most. */
  readonly worlds: number;
  /** How wide the interval of what holds may be: as soon as it is so narrow, no more are tried. */
  readonly width?: number;
  /** How many steps may be done. */
  readonly budget?: number;
}

const STEPS_AT_ONCE = 250_000;
const AT_ONCE = 2000;

/** Tries worlds by chance, as a job: it yields what it would say so far. */
export const ESTIMATE: JobRule<EstimateArgs, Estimated, Estimated> = {
  *start({ procedure, seed, worlds, width = 0, budget = BUDGET }) {
    const program = compile(procedure);
    const machine = new Machine(program, { rng: seededRng(seed) });
    const so = (): Estimated => {
      const { held, outs, failed, leftOut } = machine.counts;
      const all = held + outs + failed;
      return {
        ...{ worlds: all, leftOut, unjudged: program.claims },
        ...{ held: interval(held, all), outs: interval(outs, all), failed: interval(failed, all) },
      };
    };
    for (let world = 0; world < worlds; world++) {
      if (world > 0 && world % AT_ONCE === 0) {
        const { held } = so();
        if (held.high - held.low <= width) return so();
        yield so();
      }
      machine.again();
      while (!machine.run(Math.min(budget, machine.steps + STEPS_AT_ONCE))) {
        // A world that does not end ends the run; what was found so far stands.
        if (machine.full || machine.steps >= budget) return so();
        yield so();
      }
    }
    return so();
  },
};

/** Tries a procedure by chance: each choice is drawn by its likelihood, and what is shuffled is shuffled. */
export const estimate = (procedure: Procedure, how: Omit<EstimateArgs, 'procedure'>): Estimated =>
  runJob(ESTIMATE, { procedure, ...how });
