import { DexieOptions } from 'dexie';
import { KINDS, DATA_VERSION } from './nouns/kinds';
import { Database } from './storage/database';

/** The database of all that Enumeron keeps, not yet open. */
export const databaseOf = (name?: string, options?: DexieOptions): Database =>
  new Database(KINDS, DATA_VERSION, name, options);
