import { expose } from 'comlink';
import { makeBackup, readBackup } from '../data/backup-file';

const backupWorker = { make: makeBackup, read: readBackup };

export type BackupWorker = typeof backupWorker;

expose(backupWorker);
