import { Remote, wrap } from 'comlink';
import { Observable } from 'rxjs';
import { DeduceLong } from './deduce';
import type { DeduceWorker } from './deduce.worker';

/** One worker an enumeration; it ends with the subscription. No test imports this file: `import.meta`. */
export const deduceInWorker: DeduceLong = (now, facts) =>
  new Observable((observer) => {
    const worker = new Worker(new URL('./deduce.worker', import.meta.url), { type: 'module' });
    const remote: Remote<DeduceWorker> = wrap<DeduceWorker>(worker);
    remote
      .deduce([...now], [...facts])
      .then((deduction) => {
        if (deduction) observer.next(deduction);
        observer.complete();
      })
      .catch((error: unknown) => observer.error(error));
    return () => worker.terminate();
  });
