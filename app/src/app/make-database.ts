import { inject } from '@angular/core';
import { Scripts } from './platform/scripts';
import { MakeDatabase } from './storage/storage';

/** Makes the database in the browser, or one in memory. Its script is loaded behind the first painting. */
export const makeDatabaseLater = (): MakeDatabase => {
  const scripts = inject(Scripts);
  return async (inMemory = false) => {
    const { databaseOf } = await scripts.load(() => import('./database'));
    if (!inMemory) return databaseOf();
    const { indexedDB, IDBKeyRange } = await scripts.load(() => import('fake-indexeddb'));
    return databaseOf('in memory', { indexedDB, IDBKeyRange });
  };
};
