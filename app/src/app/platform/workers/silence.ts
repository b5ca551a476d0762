import { RetryConfig, throwError, timer } from 'rxjs';

/** So long a worker may give no sign, in milliseconds. */
export const PATIENCE = 10_000;

/** A worker that was asked, and says nothing: it did not start, or the browser has taken it away. */
export class SilentWorker extends Error {
  constructor() {
    super('a worker is silent');
  }
}

/**
 * Waits for a worker, and gives up where it says nothing for too long.
 *
 * @param work asks it; each call of `sign` says that something was heard. @param waits whether it is meant to be silent.
 * @param from when silence counts: from the beginning, or from the first sign on, where it may work long without one.
 * @returns what it answers; rejects with a `SilentWorker`.
 */
export const heard = <Result>(
  work: (sign: () => void) => Promise<Result>,
  from: 'beginning' | 'first sign',
  patience: number,
  waits: () => boolean = () => false,
): Promise<Result> =>
  new Promise((resolve, reject) => {
    let timeout: ReturnType<typeof setTimeout> | undefined;
    const listen = (): void => {
      clearTimeout(timeout);
      timeout = setTimeout(() => (waits() ? listen() : reject(new SilentWorker())), patience);
    };
    const over = (): void => clearTimeout(timeout);
    if (from === 'beginning') listen();
    work(listen).then(resolve, reject).finally(over);
  });

/** A worker whose script did not come is tried again half a second later, twice; one that is silent is not. */
export const TRY_AGAIN: RetryConfig = {
  count: 2,
  delay: (error: unknown) => (error instanceof SilentWorker ? throwError(() => error) : timer(500)),
};
