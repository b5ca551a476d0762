import { proxy } from 'comlink';
import { inWorker } from './in-worker';
import { CountSpreads, SpreadProgress } from './spread';
import type { SpreadWorker } from './spread.worker';

/** No test imports this file: `import.meta`. */
export const countSpreadsInWorker: CountSpreads = (pack, packs, seed) =>
  inWorker<SpreadWorker, SpreadProgress>(
    () => new Worker(new URL('./spread.worker', import.meta.url), { type: 'module' }),
    async (remote, report) => {
      const counted = proxy((done: number) => report({ done: done / packs }));
      report({ done: 1, counts: await remote.count([...pack], packs, seed, counted) });
    },
  );
