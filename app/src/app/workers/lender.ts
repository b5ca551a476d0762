import type { Remote } from 'comlink';

/** Lends workers for one piece of work. */
export interface Lender<Api> {
  /** One worker more. */
  lend(): Promise<Api>;
  /** Rejects when a worker's script cannot be had, or fails. */
  readonly failed: Promise<never>;
  /** Ends all that were lent, whatever they do. */
  end(): void;
}

/** How long to wait, in milliseconds, before a worker that did not start is tried again; and how often. */
export const TRY_AGAIN = { delay: 500, count: 2 };

/** @param open makes a worker that offers `Api`. */
export const lendWorkers = <Api>(open: () => Worker): Lender<Remote<Api>> => {
  const workers: Worker[] = [];
  let fail: (error: Error) => void;
  const failed = new Promise<never>((_, reject) => (fail = reject));
  failed.catch(() => undefined);
  return {
    failed,
    lend: async () => {
      const worker = open();
      workers.push(worker);
      worker.addEventListener('error', ({ message }) => fail(new Error(message || 'no such worker')));
      // It comes when the first worker does, not with the page.
      const { wrap } = await import('comlink');
      return wrap<Api>(worker);
    },
    end: () => workers.forEach((worker) => worker.terminate()),
  };
};
