import { expose } from 'comlink';
import { makeBackup, readBackup } from './backup-file';

const backupWorker = { make: makeBackup, read: readBackup, alive: () => true };

export type BackupWorker = typeof backupWorker;

expose(backupWorker);
