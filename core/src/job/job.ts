/**
 * A long computation on its way: a generator that yields how far it is and returns what comes of it. Whoever runs it
 * may stop at any step, or wait and go on later.
 */
export type Job<Progress, Result> = Generator<Progress, Result, undefined>;

/**
 * A kind of long computation. Arguments, progress and results are plain values, so that they can be handed to a
 * worker and back.
 */
export interface JobRule<Args, Progress, Result> {
  start(args: Args): Job<Progress, Result>;
  /**
   * Set where it can be done in parts beside each other. How many parts there are does not depend on the machine, so
   * that the same arguments give the same result everywhere.
   */
  readonly parts?: {
    /** The arguments of each part. */
    split(args: Args): readonly Args[];
    /** The result of all parts, or how far they are, in the order of `split`; parts not begun are not among them. */
    join<Value extends Progress | Result>(values: readonly Value[]): Value;
    /**
     * Set where one round of parts may not be enough: the arguments of the parts of another, by what came of those before.
     * Undefined where that is the end.
     */
    again?(parts: readonly Args[], results: readonly Result[]): readonly Args[] | undefined;
  };
}

/** A computation that has nothing to tell on its way, as a job of one step. */
export const oneStep = <Args, Result>(work: (args: Args) => Result): JobRule<Args, never, Result> => ({
  *start(args) {
    yield* [];
    return work(args);
  },
});

/** A job as part of another: what it tells on its way is told in the words of the other. */
export function* telling<From, To, Result>(
  job: Job<From, Result>,
  say: (progress: From) => To,
): Job<To, Result> {
  for (;;) {
    const step = job.next();
    if (step.done) return step.value;
    yield say(step.value);
  }
}

/** Runs a job to its end, here and now. */
export const finish = <Progress, Result>(job: Job<Progress, Result>): Result => {
  for (;;) {
    const step = job.next();
    if (step.done) return step.value;
  }
};

/** The whole computation, here and now, in the parts in which workers would do it. */
export const runJob = <Args, Progress, Result>(
  { start, parts }: JobRule<Args, Progress, Result>,
  args: Args,
): Result => {
  if (!parts) return finish(start(args));
  let round: readonly Args[] | undefined = parts.split(args);
  let results: readonly Result[] = [];
  while (round) {
    results = round.map((part) => finish(start(part)));
    round = parts.again?.(round, results);
  }
  return parts.join(results);
};
