import { InjectionToken } from '@angular/core';
import Dexie, { liveQuery, Table } from 'dexie';
import { from, Observable, switchMap } from 'rxjs';
import { DraftRow, JournalRow, OrderRow, StateRow } from './rows';

// On a loopback address it would take a stack trace of every read.
Dexie.debug = false;

/**
 * Everything the browser keeps. A new version gets its own `version(n)` block with an upgrade, and the
 * earlier blocks stay; docs/formats.md says what each table holds.
 */
export class Database extends Dexie {
  declare readonly orders: Table<OrderRow, string>;
  declare readonly state: Table<StateRow, string>;
  declare readonly drafts: Table<DraftRow, string>;
  declare readonly journal: Table<JournalRow, number>;

  /** Resolves once the demo data has been laid out, or could not be: live queries and the journal wait for it. */
  readonly laidOut = new Promise<void>((resolve) => (this.letIn = resolve));
  /** Tells that it has. */
  declare letIn: () => void;

  constructor(name = 'enumeron') {
    super(name);
    this.version(1).stores({ orders: 'id', state: 'id', drafts: 'id', journal: '++id, done' });
  }

  /** What `query` reads, and reads again whenever that has changed, in any tab. */
  live<Result>(query: () => Promise<Result>): Observable<Result> {
    return from(this.laidOut).pipe(switchMap(() => liveQuery(query)));
  }
}

export const DATABASE = new InjectionToken<Database>('database', {
  providedIn: 'root',
  factory: () => new Database(),
});
