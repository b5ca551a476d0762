import { Observable } from 'rxjs';
import type { Jobs } from './run-job';

/** A worker more for a long job: it takes parts while the page is left alone, and waits while somebody works. */
export interface SpareWorker {
  /** Has a part that it has begun done to its end: nobody else has anything left to do. */
  finish(): Promise<void>;
  /** Forgets it. */
  end(): void;
}

/**
 * @param quiet whether the page is left alone.
 * @param lend gives the worker, when it is wanted first.
 * @param take has it take parts until none is left.
 */
export const spareWorker = (
  quiet: Observable<boolean>,
  lend: () => Promise<Jobs>,
  take: (worker: Jobs) => Promise<void>,
): SpareWorker => {
  let worker: Jobs | undefined;
  let work: Promise<void> | undefined;
  let mayRun = false;
  const begin = async (): Promise<void> => {
    worker = await lend();
    // Somebody may have come back while it was on its way.
    if (!mayRun) void worker.hold(true);
    await take(worker);
  };
  const listening = quiet.subscribe((isQuiet) => {
    mayRun = isQuiet;
    if (isQuiet && !work) {
      work = begin();
      // Whoever waits for the end is told.
      work.catch(() => undefined);
    }
    if (worker) void worker.hold(!isQuiet);
  });
  return {
    finish: async () => {
      listening.unsubscribe();
      mayRun = true;
      if (worker) void worker.hold(false);
      await work;
    },
    end: () => listening.unsubscribe(),
  };
};
