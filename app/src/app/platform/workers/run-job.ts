import { NEVER, Observable, of, retry, Subscriber, tap } from 'rxjs';
import { JobName, JobState, RunJob } from './jobs';
import { WorkerPool } from './worker-pool';
import { heard, PATIENCE, TRY_AGAIN } from './silence';
import { SpareWorker, spareWorker } from './spare-worker';

/** What a worker offers, as the page calls it (`JobsInWorker`). */
export interface Jobs {
  split(name: JobName, args: unknown): Promise<readonly unknown[]>;
  again(
    name: JobName,
    parts: readonly unknown[],
    results: readonly unknown[],
  ): Promise<readonly unknown[] | undefined>;
  join(name: JobName, values: readonly unknown[]): Promise<unknown>;
  /** Says that it is there. */
  alive(): Promise<unknown>;
  hold(held: boolean): Promise<void>;
  stop(): Promise<void>;
  run(name: JobName, args: unknown, report: (progress: unknown) => void): Promise<unknown>;
}

type State = JobState<unknown, unknown>;

/** How far each part is, from which it is told how far the whole is. */
const progressOf = (
  name: JobName,
  parts: number,
  { join }: Pick<Jobs, 'join'>,
  report: (state: State) => void,
): ((part: number, progress: unknown) => Promise<void>) => {
  const latest = new Map<number, unknown>();
  return async (part, progress) => {
    latest.set(part, progress);
    const begun = [...latest].sort(([a], [b]) => a - b).map(([, value]) => value);
    report({ kind: 'running', progress: parts === 1 ? progress : await join(name, begun) });
  };
};

/** A worker that is listened to while it works: where it has said how far it is, it must go on saying something. */
const watched = (worker: Jobs, patience: number, waits: () => boolean): Jobs => ({
  ...worker,
  run: (name, args, report) =>
    heard(
      (sign) =>
        worker.run(name, args, (progress) => {
          sign();
          report(progress);
        }),
      'first sign',
      patience,
      waits,
    ),
});

/** A job that workers do. */
interface Running {
  readonly workers: readonly Jobs[];
  readonly name: JobName;
  readonly report: (state: State) => void;
  /** Has one worker more take parts while it may. */
  readonly more: (take: (worker: Jobs) => Promise<void>) => SpareWorker | undefined;
  readonly isGivenUp: () => boolean;
}

/** Has a round of parts done by the workers, each taking the next part when it is free, and by one more while it may. */
const runRound = async (
  { workers, name, report, more, isGivenUp }: Running,
  parts: readonly unknown[],
): Promise<readonly unknown[]> => {
  const [first] = workers;
  const join: Jobs['join'] = (...asked) => first.join(...asked);
  const progressed = progressOf(name, parts.length, { join }, report);
  // Workers of a job that is given up may have been ended: they are asked nothing more.
  const tell = async (part: number, progress: unknown): Promise<void> => {
    if (!isGivenUp()) await progressed(part, progress);
  };
  const results: unknown[] = [];
  let next = 0;
  const work = async (worker: Jobs): Promise<void> => {
    while (next < parts.length && !isGivenUp()) {
      const part = next++;
      results[part] = await worker.run(name, parts[part], (progress) => void tell(part, progress));
      if (parts.length > 1) await tell(part, results[part]);
    }
  };
  const spare = parts.length > workers.length ? more(work) : undefined;
  try {
    await Promise.all(workers.map(work));
    await spare?.finish();
  } finally {
    spare?.end();
  }
  return results;
};

/** The same, round by round. */
const runParts = async (running: Running, parts: readonly unknown[]): Promise<unknown> => {
  const { workers, name, isGivenUp } = running;
  const [first] = workers;
  let results: readonly unknown[] = [];
  for (let round: typeof parts | undefined = parts; round;) {
    results = await runRound(running, round);
    // What was stopped comes to nothing.
    if (isGivenUp()) return undefined;
    round = await first.again(name, round, results);
  }
  return isGivenUp() ? undefined : first.join(name, results);
};

/**
 * Runs jobs on workers that are lent.
 *
 * @param pool makes a pool for one job. @param cores how many workers may be busy at a time.
 * @param quiet whether the page is left alone: then one worker more may be. None unless told.
 */
export const runOn =
  (pool: () => WorkerPool<Jobs>, cores: number, quiet?: Observable<boolean>, patience = PATIENCE): RunJob =>
  (name, args, held = NEVER) =>
    new Observable<JobState<never, never>>((subscriber) => {
      // What a worker never answers holds no more than this; and this lets go of who asked.
      const told: { observer: Subscriber<JobState<never, never>> | undefined } = { observer: subscriber };
      const lent = pool();
      const workers: Jobs[] = [];
      let isHeld = false;
      const holding = held.subscribe((hold) => {
        isHeld = hold;
        workers.forEach((worker) => void worker.hold(hold));
      });
      const lend = async (): Promise<void> => {
        const worker = watched(await lent.lend(), patience, () => isHeld);
        await heard(() => worker.alive(), 'beginning', patience);
        // Also one that comes after it was said.
        if (isHeld) void worker.hold(true);
        workers.push(worker);
      };
      let ended = false;
      let spare: SpareWorker | undefined;
      const more = (take: (worker: Jobs) => Promise<void>): SpareWorker | undefined =>
        quiet &&
        (spare = spareWorker(quiet, async () => watched(await lent.lend(), patience, () => isHeld), take));
      const report = (state: State): void => {
        // What a part reports comes through a channel of its own and may be overtaken by the end.
        if (!ended) told.observer?.next(state as JobState<never, never>);
      };
      const work = async (): Promise<void> => {
        await lend();
        const parts = await workers[0].split(name, args);
        while (workers.length < Math.min(cores, parts.length)) await lend();
        const isGivenUp = (): boolean => told.observer === undefined;
        const result = await runParts({ workers, name, report, more, isGivenUp }, parts);
        report({ kind: 'ended', result });
        ended = true;
      };
      let failed = false;
      const working = work();
      Promise.race([working, lent.failed]).then(
        () => told.observer?.complete(),
        (error: unknown) => {
          failed = true;
          told.observer?.error(error);
        },
      );
      return () => {
        told.observer = undefined;
        holding.unsubscribe();
        spare?.end();
        if (failed) {
          lent.end();
          return;
        }
        if (!ended) {
          workers.forEach((worker) => void worker.stop());
          lent.giveUp(working);
          return;
        }
        // The next job must not wait for what was said to this one.
        if (isHeld) workers.forEach((worker) => void worker.hold(false));
        lent.giveBack();
      };
    }).pipe(retry(TRY_AGAIN));

/** How many results are remembered. */
const REMEMBERED = 40;

/** The same, but what was asked before is answered at once: a job gives the same for the same. */
export const remembering = (run: RunJob): RunJob => {
  const results = new Map<string, JobState<never, never>>();
  return (name, args, held) => {
    const key = JSON.stringify([name, args]);
    const known = results.get(key);
    if (known) return of(known);
    return run(name, args, held).pipe(
      tap((state) => {
        if (state.kind !== 'ended') return;
        results.set(key, state as JobState<never, never>);
        for (const oldest of [...results.keys()].slice(0, -REMEMBERED)) results.delete(oldest);
      }),
    );
  };
};
