import type { Remote } from 'comlink';
import { Observable, retry } from 'rxjs';

/** How long to wait, in milliseconds, before a worker that did not start is tried again; and how often. */
const [PAUSE, TRIES] = [500, 2];

/**
 * One worker for one piece of work; it ends with the subscription. A worker whose script cannot be had, or that
 * fails, is tried again and then is an error of the observable.
 *
 * @param open makes the worker.
 * @param work has it done and reports what comes of it; resolves at the end.
 */
export const inWorker = <Api, Report>(
  open: () => Worker,
  work: (remote: Remote<Api>, report: (value: Report) => void) => Promise<void>,
): Observable<Report> =>
  new Observable<Report>((observer) => {
    const worker = open();
    worker.addEventListener('error', ({ message }) => observer.error(new Error(message || 'no such worker')));
    void import('comlink')
      .then(({ wrap }) => work(wrap<Api>(worker), (value) => observer.next(value)))
      .then(
        () => observer.complete(),
        (error: unknown) => observer.error(error),
      );
    return () => worker.terminate();
  }).pipe(retry({ count: TRIES, delay: PAUSE }));
