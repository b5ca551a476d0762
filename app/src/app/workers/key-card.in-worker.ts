import { proxy, Remote, wrap } from 'comlink';
import { Observable } from 'rxjs';
import { TryKeyCard } from './key-card';
import type { KeyCardWorker } from './key-card.worker';

/** One worker a simulation; it ends with the subscription. No test imports this file: `import.meta`. */
export const tryKeyCardInWorker: TryKeyCard = (now, bank, key, riffles, packs, seed) =>
  new Observable((observer) => {
    observer.next([]);
    const worker = new Worker(new URL('./key-card.worker', import.meta.url), { type: 'module' });
    const remote: Remote<KeyCardWorker> = wrap<KeyCardWorker>(worker);
    const report = proxy((estimates: Parameters<Parameters<KeyCardWorker['try']>[6]>[0]) =>
      observer.next(estimates),
    );
    remote
      .try([...now], [...bank], key, riffles, packs, seed, report)
      // Reports come through a channel of their own and may be overtaken by the result.
      .then((estimates) => {
        observer.next(estimates);
        observer.complete();
      })
      .catch((error: unknown) => observer.error(error));
    return () => worker.terminate();
  });
