import type { Remote } from 'comlink';

/** Lends workers for one piece of work. */
export interface Lender<Api> {
  /** One worker more. */
  lend(): Promise<Api>;
  /** Rejects when a worker's script cannot be had, or fails. */
  readonly failed: Promise<never>;
  /** All that were lent have done their work: they may be lent again. */
  giveBack(): void;
  /** Ends all that were lent, whatever they do. */
  end(): void;
}

/** How long to wait, in milliseconds, before a worker that did not start is tried again; and how often. */
export const TRY_AGAIN = { delay: 500, count: 2 };

/** How long a worker that nobody wants is kept, in milliseconds: the next job need not wait for its script. */
const KEPT = 20_000;

/**
 * A worker, and what it offers. The two are kept together: comlink tells a worker to listen no more as soon as nobody
 * holds what it offers, and then it would never answer again.
 */
interface Opened<Api> {
  readonly worker: Worker;
  readonly api: Promise<Remote<Api>>;
}

/** @param open makes a worker that offers `Api`. */
export const lending = <Api>(open: () => Worker): (() => Lender<Remote<Api>>) => {
  const idle: Opened<Api>[] = [];
  let dismissal: ReturnType<typeof setTimeout> | undefined;
  const dismiss = (): void => idle.splice(0).forEach(({ worker }) => worker.terminate());
  const opened = (): Opened<Api> => {
    const worker = open();
    // It comes when the first worker does, not with the page.
    return { worker, api: import('comlink').then(({ wrap }) => wrap<Api>(worker)) };
  };

  return () => {
    const lent: Opened<Api>[] = [];
    let fail: (error: Error) => void;
    const failed = new Promise<never>((_, reject) => (fail = reject));
    failed.catch(() => undefined);
    const failing = ({ message }: ErrorEvent): void => fail(new Error(message || 'no such worker'));
    return {
      failed,
      lend: () => {
        const next = idle.pop() ?? opened();
        lent.push(next);
        next.worker.addEventListener('error', failing);
        return next.api;
      },
      giveBack: () => {
        for (const { worker } of lent) worker.removeEventListener('error', failing);
        idle.push(...lent);
        clearTimeout(dismissal);
        dismissal = setTimeout(dismiss, KEPT);
      },
      end: () => lent.forEach(({ worker }) => worker.terminate()),
    };
  };
};
