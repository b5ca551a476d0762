import { inject, InjectionToken } from '@angular/core';
import { Outcome } from '@enumeron/core/deck';
import { Scripts } from '../../platform/scripts';
import type { Backup, RowsByKind } from './backup-file';

/** Makes and reads backup files, which takes long for large ones. */
export interface BackupWork {
  make(rows: RowsByKind, made: Date): Promise<Outcome<{ text: string }>>;
  read(file: File): Promise<Outcome<{ backup: Backup }>>;
}

/** On the page itself: in tests, and where no worker can be had. */
export const backupOnPage = (): BackupWork => {
  const scripts = inject(Scripts);
  return {
    make: async (rows, made) => (await scripts.load(() => import('./backup-file'))).makeBackup(rows, made),
    read: async (file) => (await scripts.load(() => import('./backup-file'))).readBackup(file),
  };
};

/** The application provides a worker. */
export const BACKUP_WORK = new InjectionToken<BackupWork>('backup work', {
  providedIn: 'root',
  factory: backupOnPage,
});
