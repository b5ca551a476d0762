import { DeduceLong } from './deduce';
import type { DeduceWorker } from './deduce.worker';
import { inWorker } from './in-worker';

/** No test imports this file: `import.meta`. */
export const deduceInWorker: DeduceLong = (now, facts) =>
  inWorker<DeduceWorker, NonNullable<ReturnType<DeduceWorker['findPossible']>>>(
    () => new Worker(new URL('./deduce.worker', import.meta.url), { type: 'module' }),
    async (remote, report) => {
      const possible = await remote.findPossible([...now], [...facts]);
      if (possible) report(possible);
    },
  );
