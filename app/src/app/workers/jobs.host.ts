import { RunJob } from './jobs';
import type { JobsInWorker } from './jobs-in-worker';
import { Lender, lending } from './lender';
import { Jobs, remembering, runOn } from './run-job';

/** Workers for jobs. No test imports this file: `import.meta`. */
const workers = lending<JobsInWorker>(
  () => new Worker(new URL('./jobs.worker', import.meta.url), { type: 'module' }),
);

const lender = (): Lender<Jobs> => {
  const lent = workers();
  return {
    ...lent,
    lend: async () => {
      const [worker, { proxy }] = [await lent.lend(), await import('comlink')];
      return {
        split: (name, args) => worker.split(name, args),
        join: (name, values) => worker.join(name, values),
        hold: (held) => worker.hold(held),
        run: (name, args, report) => worker.run(name, args, proxy(report)),
      };
    },
  };
};

/** One core is left to the page where there are three or more. */
const cores = Math.max(2, Math.min(8, (navigator.hardwareConcurrency || 2) - 1));

export const runInWorkers: RunJob = remembering(runOn(lender, cores));
