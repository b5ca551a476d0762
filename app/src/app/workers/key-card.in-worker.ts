import { proxy } from 'comlink';
import { startWith } from 'rxjs';
import { inWorker } from './in-worker';
import { TryKeyCard } from './key-card';
import type { KeyCardWorker } from './key-card.worker';

/** No test imports this file: `import.meta`. */
export const tryKeyCardInWorker: TryKeyCard = (now, bank, key, riffles, packs, seed) =>
  inWorker<KeyCardWorker, ReturnType<KeyCardWorker['try']>>(
    () => new Worker(new URL('./key-card.worker', import.meta.url), { type: 'module' }),
    async (remote, report) =>
      // Reports come through a channel of their own and may be overtaken by the result.
      report(await remote.try([...now], [...bank], key, riffles, packs, seed, proxy(report))),
  ).pipe(startWith([]));
