import { InjectionToken } from '@angular/core';
import Dexie, { Table } from 'dexie';
import { DraftRow, JournalRow, OrderRow, StateRow } from './rows';

/**
 * Everything the browser keeps. A new version gets its own `version(n)` block with an upgrade, and the
 * earlier blocks stay; docs/data.md says what each table holds.
 */
export class Database extends Dexie {
  declare readonly orders: Table<OrderRow, string>;
  declare readonly state: Table<StateRow, string>;
  declare readonly drafts: Table<DraftRow, string>;
  declare readonly journal: Table<JournalRow, number>;

  constructor(name = 'enumeron') {
    super(name);
    this.version(1).stores({ orders: 'id', state: 'id', drafts: 'id', journal: '++id, done' });
  }
}

export const DATABASE = new InjectionToken<Database>('database', {
  providedIn: 'root',
  factory: () => new Database(),
});
