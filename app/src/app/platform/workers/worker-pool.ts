import type { Remote } from 'comlink';

/** Lends workers for one piece of work. */
export interface WorkerPool<Api> {
  /** One worker more. */
  lend(): Promise<Api>;
  /** Rejects when a worker's script cannot be had, or fails. */
  readonly failed: Promise<never>;
  /** All that were lent have done their work: they may be lent again. */
  giveBack(): void;
  /** Nobody wants their work any more: they may be lent again as soon as they rest, or are ended where they do not. */
  giveUp(atRest: Promise<unknown>): void;
  /** Ends all that were lent, whatever they do. */
  end(): void;
}

/** How long a worker that nobody wants is kept, in milliseconds: the next job need not wait for its script. */
const KEPT = 20_000;

/**
 * A worker, and what it offers. The two are kept together: comlink tells a worker to listen no more as soon as nobody
 * holds what it offers, and then it would never answer again.
 */
interface Opened<Api> {
  readonly worker: Worker;
  readonly api: Promise<Remote<Api>>;
  end(): void;
}

/** So long a worker that was told to stop may go on, in milliseconds: it listens between two steps. */
const STOPPING = 1000;

/** @param open makes a worker that offers `Api`. */
export const workerPool = <Api>(open: () => Worker): (() => WorkerPool<Remote<Api>>) => {
  const idle: Opened<Api>[] = [];
  let dismissal: ReturnType<typeof setTimeout> | undefined;
  const dismiss = (): void => idle.splice(0).forEach(({ end }) => end());
  const opened = (): Opened<Api> => {
    const worker = open();
    // It comes when the first worker does, not with the page.
    const comlink = import('comlink');
    const api = comlink.then(({ wrap }) => wrap<Api>(worker));
    return {
      ...{ worker, api },
      end: () => {
        // What was called and never answers holds whoever called until it is let go of.
        void Promise.all([comlink, api]).then(([{ releaseProxy }, offered]) => offered[releaseProxy]());
        worker.terminate();
      },
    };
  };

  return () => {
    const lent: Opened<Api>[] = [];
    let fail: (error: Error) => void;
    const failed = new Promise<never>((_, reject) => (fail = reject));
    failed.catch(() => undefined);
    const failing = ({ message }: ErrorEvent): void => fail(new Error(message || 'no such worker'));
    const giveBack = (): void => {
      for (const { worker } of lent) worker.removeEventListener('error', failing);
      idle.push(...lent.splice(0));
      clearTimeout(dismissal);
      dismissal = setTimeout(dismiss, KEPT);
    };
    const end = (): void => lent.splice(0).forEach((each) => each.end());
    return {
      ...{ failed, giveBack, end },
      lend: () => {
        const next = idle.pop() ?? opened();
        lent.push(next);
        next.worker.addEventListener('error', failing);
        return next.api;
      },
      giveUp: (atRest) => {
        const tooLong = setTimeout(end, STOPPING);
        atRest.then(giveBack, end).finally(() => clearTimeout(tooLong));
      },
    };
  };
};
