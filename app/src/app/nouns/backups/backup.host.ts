import { defer, firstValueFrom, retry } from 'rxjs';
import type { BackupWork } from './backup-work';
import type { BackupWorker } from './backup.worker';
import { workerPool } from '../../platform/workers/worker-pool';
import { heard, PATIENCE, TRY_AGAIN } from '../../platform/workers/silence';

type Remote = Awaited<ReturnType<ReturnType<typeof pool>['lend']>>;
type Made = Awaited<ReturnType<BackupWork['make']>>;
type Read = Awaited<ReturnType<BackupWork['read']>>;

const pool = workerPool<BackupWorker>(
  () => new Worker(new URL('./backup.worker', import.meta.url), { type: 'module' }),
);

const once = <Result>(work: (remote: Remote) => Promise<Result>): Promise<Result> => {
  const attempt = async (): Promise<Result> => {
    const lent = pool();
    try {
      const ask = async (): Promise<Result> => {
        const remote = await lent.lend();
        await heard(() => remote.alive(), 'beginning', PATIENCE);
        return work(remote);
      };
      return await Promise.race([ask(), lent.failed]);
    } finally {
      lent.end();
    }
  };
  return firstValueFrom(defer(attempt).pipe(retry(TRY_AGAIN)));
};

/**
 * Makes and reads backups in a worker; on the page where no worker can be had, for a backup must be had whatever else
 * fails. No test imports this file: `import.meta`.
 */
export const backupInWorker = (onPage: BackupWork): BackupWork => ({
  make: (rows, made) =>
    once(async (remote): Promise<Made> => remote.make(rows, made)).catch(() => onPage.make(rows, made)),
  read: (file) => once(async (remote): Promise<Read> => remote.read(file)).catch(() => onPage.read(file)),
});
