import { JobName, RunJob } from './jobs';
import type { JobsInWorker } from './jobs-in-worker';
import { WorkerPool, workerPool } from './worker-pool';
import { quiet } from './quiet';
import { Jobs, remembering, runOn } from './run-job';

/** Workers for jobs. No test imports this file: `import.meta`. */
const workers = workerPool<JobsInWorker>(
  () => new Worker(new URL('./jobs.worker', import.meta.url), { type: 'module' }),
);

const pool = (): WorkerPool<Jobs> => {
  const lent = workers();
  return {
    ...lent,
    lend: async () => {
      const [worker, { proxy }] = [await lent.lend(), await import('comlink')];
      return {
        split: (name, args) => worker.split(name, args),
        again: (name, parts, results) => worker.again(name, parts, results),
        join: (name, values) => worker.join(name, values),
        alive: () => worker.alive(),
        hold: (held) => worker.hold(held),
        stop: () => worker.stop(),
        run: (name, args, report) => worker.run(name, args, proxy(report)),
      };
    },
  };
};

/** One core is left to the page where there are three or more. */
const free = (navigator.hardwareConcurrency || 2) - 1;
const MOST = 8;
const run = runOn(pool, Math.max(2, Math.min(MOST, free)));

/** The same, and with two cores, too: it goes on for long while one works. Left alone it has all cores. */
const beside = runOn(pool, Math.max(1, Math.min(MOST, free)), quiet(document));
const LONG: ReadonlySet<JobName> = new Set(['study']);

export const runInWorkers: RunJob = remembering((name, args, held) =>
  (LONG.has(name) ? beside : run)(name, args, held),
);
