import { Remote } from 'comlink';
import { firstValueFrom } from 'rxjs';
import type { BackupWork } from '../data/backup-work';
import type { BackupWorker } from './backup.worker';
import { inWorker } from './in-worker';

type Made = Awaited<ReturnType<BackupWork['make']>>;
type Read = Awaited<ReturnType<BackupWork['read']>>;

const once = <Result>(work: (remote: Remote<BackupWorker>) => Promise<Result>): Promise<Result> =>
  firstValueFrom(
    inWorker<BackupWorker, Result>(
      () => new Worker(new URL('./backup.worker', import.meta.url), { type: 'module' }),
      async (remote, report) => report(await work(remote)),
    ),
  );

/**
 * Makes and reads backups in a worker; on the page where no worker can be had, for a backup must be had whatever else
 * fails. No test imports this file: `import.meta`.
 */
export const backupInWorker = (onPage: BackupWork): BackupWork => ({
  make: (rows, made) =>
    once(async (remote): Promise<Made> => remote.make(rows, made)).catch(() => onPage.make(rows, made)),
  read: (file) => once(async (remote): Promise<Read> => remote.read(file)).catch(() => onPage.read(file)),
});
