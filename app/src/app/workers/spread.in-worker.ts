import { proxy, Remote, wrap } from 'comlink';
import { Observable } from 'rxjs';
import { CountSpreads } from './spread';
import type { SpreadWorker } from './spread.worker';

/** One worker a simulation; it ends with the subscription. No test imports this file: `import.meta`. */
export const countSpreadsInWorker: CountSpreads = (pack, packs, seed) =>
  new Observable((observer) => {
    const worker = new Worker(new URL('./spread.worker', import.meta.url), { type: 'module' });
    const remote: Remote<SpreadWorker> = wrap<SpreadWorker>(worker);
    const report = proxy((done: number) => observer.next({ done: done / packs }));
    remote
      .count([...pack], packs, seed, report)
      .then((counts) => {
        observer.next({ done: 1, counts });
        observer.complete();
      })
      .catch((error: unknown) => observer.error(error));
    return () => worker.terminate();
  });
