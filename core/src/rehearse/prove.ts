import { JobRule, runJob } from '../job/job';
import { firstOrders } from '../procedure/firstOrders';
import { Machine } from '../procedure/machine';
import type { Counts, Failure, Way } from '../procedure/way';
import { Procedure, Step } from '../procedure/procedure';
import { meant } from '../procedure/meant';
import { compile } from '../procedure/compile';
import type { Program } from '../procedure/program';
import { STEPS } from '../procedure/steps';
import { anyStep } from '../procedure/walk';
import { isAnyOpen, Open, openIn, Told } from './told';

/** What came of every combination of choices. */
export interface Proof extends Counts {
  /** False where the budget ran out first: the counts are then of what was run. */
  readonly complete: boolean;
  /** All that held, ended in an out or failed; what a `require` left out is none of them. */
  readonly cases: number;
  /** The first failures, in the order of their cases. */
  readonly failures: readonly Failure[];
}

/** How far a proof is. */
export interface ProofProgress extends Counts {
  /** By the values of the first choice: from 0 to 1. */
  readonly share: number;
}

export interface ProofArgs extends Pick<Way, 'often' | 'first'> {
  readonly procedure: Procedure;
  /** How many steps may be done. */
  readonly budget?: number;
}

/** How many steps a proof does unless it is told. */
export const BUDGET = 100_000_000;
/** So many steps are done before it is told how far it is. */
const AT_ONCE = 250_000;

export const hasChance = (procedure: Procedure): boolean => anyChance(meant(procedure).steps);

const anyChance = (steps: readonly Step[]): boolean =>
  anyStep(steps, (step) => STEPS[step.do].chance === true);

/** Whether it is stated of any choice how likely its values are. */
export const hasLikely = ({ steps }: Procedure): boolean => anyLikely(steps);

const anyLikely = (steps: readonly Step[]): boolean =>
  anyStep(steps, (step) => 'likely' in step && step.likely !== undefined);

const withoutChance = (procedure: Procedure): Program => {
  if (hasChance(procedure)) throw new Error('Where chance enters, a procedure is estimated.');
  return compile(procedure);
};

/** Runs a machine to its end or the end of its budget; gives whether it came to its end. */
export function* through(
  machine: Machine,
  budget: number,
  atOnce = AT_ONCE,
): Generator<ProofProgress, boolean, undefined> {
  for (;;) {
    const done = machine.run(Math.min(budget, machine.steps + atOnce));
    if (done || machine.full || machine.steps >= budget) return done;
    yield { ...machine.counts, share: machine.progress };
  }
}

/** What a machine that came to its end has found left open; undefined where nothing is. */
export const openSights = ({ known }: Machine): Open | undefined => {
  const open = openIn(known);
  return isAnyOpen(open) ? open : undefined;
};

/** Failures with what lay where behind each mix, where something is mixed. */
function* withOrders(
  machine: Machine,
  open: Way['open'],
  budget: number,
): Generator<ProofProgress, readonly Failure[], undefined> {
  const { program, failures, failedChoices, counts, progress: share } = machine;
  if (program.pools === 0) return failures;
  const steps = { left: budget };
  const all: Failure[] = [];
  for (const [index, failure] of failures.entries()) {
    const { choices: made, at, why } = failure;
    const sought = { values: made.map(([, value]) => value), choices: failedChoices[index], at, why };
    const orders = firstOrders(program, sought, { open }, steps);
    all.push(orders.length > 0 ? { ...failure, orders } : failure);
    yield { ...counts, share };
  }
  return all;
}

const proofOf = ({ counts }: Machine, complete: boolean, failures: readonly Failure[]): Proof => ({
  ...{ ...counts, complete, failures },
  cases: counts.held + counts.outs + counts.failed,
});

/** What the first time through has found. */
interface OnceThrough {
  /** The proof where nothing is left open. */
  readonly proof: Proof;
  readonly told: Told;
}

/** Runs every combination of choices: what comes of it where nothing is left open, and what sights tell of what is claimed to be known. */
export function* onceThrough({
  procedure,
  budget = BUDGET,
  often,
  first,
}: ProofArgs): Generator<ProofProgress, OnceThrough, undefined> {
  const machine = new Machine(withoutChance(procedure), { often, first });
  const complete = yield* through(machine, budget);
  const { known: told, failures } = machine;
  const isOpen = isAnyOpen(openIn(told));
  const seen = isOpen ? failures : yield* withOrders(machine, undefined, budget);
  return { proof: proofOf(machine, complete, seen), told };
}

/** The same once more, where it is clear by now what nobody can know: a world fails where it claims that. */
export function* judgedBy(
  open: Open,
  { procedure, budget = BUDGET, often, first }: ProofArgs,
): Generator<ProofProgress, Proof, undefined> {
  const machine = new Machine(withoutChance(procedure), { open, often, first });
  const complete = yield* through(machine, budget);
  return proofOf(machine, complete, yield* withOrders(machine, open, budget));
}

/** Runs every combination of choices, as a job. */
export const PROOF: JobRule<ProofArgs, ProofProgress, Proof> = {
  *start(args) {
    const { proof, told } = yield* onceThrough(args);
    const open = openIn(told);
    return isAnyOpen(open) ? yield* judgedBy(open, args) : proof;
  },
};

/**
 * Proves a procedure by running it for every combination of choices, each from low to high.
 *
 * @param procedure one that `readProcedure` found right, without chance.
 */
export const prove = (procedure: Procedure, { budget }: { readonly budget?: number } = {}): Proof =>
  runJob(PROOF, { procedure, budget });

/** The chances that it holds, needs an out, or fails; they add up to 1. */
export interface Chances {
  readonly held: number;
  readonly outs: number;
  readonly failed: number;
}

/**
 * What every combination of choices weighs by its likelihood; undefined where the budget ran out first.
 *
 * @param open what sights leave open, over all values of the first choice.
 */
export function* weights(
  open: Open,
  { procedure, budget = BUDGET, often, first }: ProofArgs,
): Generator<ProofProgress, Counts | undefined, undefined> {
  const machine = new Machine(withoutChance(procedure), { weigh: true, open, often, first });
  return (yield* through(machine, budget)) ? machine.counts : undefined;
}

/** Weights as chances, given that no `require` left the world out. */
export const chancesOf = ({ held, outs, failed }: Omit<Counts, 'leftOut'>): Chances | undefined => {
  const all = held + outs + failed;
  return all > 0 ? { held: held / all, outs: outs / all, failed: failed / all } : undefined;
};

/** Weighs every combination of choices by its likelihood, as a job. */
export const WEIGHT: JobRule<ProofArgs, ProofProgress, Chances | undefined> = {
  *start(args) {
    const { budget = BUDGET, often } = args;
    const program = withoutChance(args.procedure);
    const judge = new Machine(program, { often });
    // Over all values of the first choice, whichever are weighed.
    if (program.claims.length > 0 && !(yield* through(judge, budget))) return undefined;
    const found = yield* weights(openIn(judge.known), args);
    return found && chancesOf(found);
  },
};

/**
 * The chances of a procedure, given that no `require` left the world out.
 *
 * @param procedure one that `readProcedure` found right, without chance.
 * @returns undefined where every world is left out or nothing weighs anything.
 */
export const weigh = (procedure: Procedure): Chances | undefined =>
  runJob(WEIGHT, { procedure, budget: Number.POSITIVE_INFINITY });
