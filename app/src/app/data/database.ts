import Dexie, { DexieOptions, liveQuery, Table, Transaction } from 'dexie';
import { Observable } from 'rxjs';
import { Kind, migrated } from './kind';
import { DATA_VERSION, kindAt, kindNamed, KINDS } from './kinds';

// On a loopback address it would take a stack trace of every read.
Dexie.debug = false;

const NAME = 'enumeron';

/** What Dexie calls version n, the browser calls 10 n. */
const NATIVE = 10;

/** Each table with its key and indexes, from the kinds that lie in it. */
const STORES = Object.fromEntries(KINDS.map(({ table, stores }) => [table, stores]));

/** The tables of the versions before, as they were. */
const STORES_1 = { orders: 'id', state: 'id', drafts: 'id', journal: '++id, done' };
const STORES_2 = {
  orders: 'id, made, name',
  state: 'id',
  drafts: 'id, subject',
  journal: '++id, [line+done]',
  damaged: 'id',
  snapshots: 'id',
};

const keyIn = (table: Table, row: unknown): unknown =>
  (row as Record<string, unknown>)[table.schema.primKey.keyPath as string];

/** Brings every row of a table to a version, under the key that it has then. */
const migrateTable = async (table: Table, to: number): Promise<void> => {
  const keys = await table.toCollection().primaryKeys();
  for (const key of keys) {
    const kind = kindAt(table.name, key);
    if (!kind) continue;
    const row: unknown = await table.get(key);
    const next = migrated(kind, row, to - 1, to);
    if (next === row) continue;
    if (keyIn(table, next) !== key) await table.delete(key);
    await table.put(next);
  }
};

/** The tables of kinds that do something to come to a version. */
const changedIn = (version: number): readonly string[] =>
  KINDS.filter(({ migrate = {} }) => Object.hasOwn(migrate, version)).map(({ table }) => table);

const migrateTo =
  (version: number) =>
  async (transaction: Transaction): Promise<void> => {
    for (const name of new Set(changedIn(version))) await migrateTable(transaction.table(name), version);
  };

/** Everything that the browser keeps. docs/formats.md says what each table holds. */
export class Database extends Dexie {
  constructor(name = NAME, options: DexieOptions = {}) {
    // Nothing is read twice in a row, and what is shown must be what is stored.
    super(name, { cache: 'disabled', ...options });
    // Live queries run only where the browser has a database of its own, or is said to have one.
    if (options.indexedDB && !(Dexie.dependencies.indexedDB as unknown))
      Object.assign(Dexie.dependencies, { indexedDB: options.indexedDB, IDBKeyRange: options.IDBKeyRange });
    this.version(1).stores(STORES_1);
    this.version(2).stores(STORES_2).upgrade(migrateTo(2));
    // The versions between have new tables alone: no row changes.
    this.version(DATA_VERSION).stores(STORES).upgrade(migrateTo(DATA_VERSION));
  }

  /** Every kind that is stored: known where the database is, so that the first painting does not wait for them. */
  readonly kinds = KINDS;
  readonly kindNamed = kindNamed;
  readonly kindAt = kindAt;

  /** The rows of a kind, by key. */
  rows<Row>({ table }: Kind<Row>): Table<Row, string> {
    return this.table(table);
  }

  /** Set when what is stored was written by a newer version; Dexie opens it nevertheless. Ask once it is open. */
  get isNewer(): boolean {
    return this.backendDB().version > DATA_VERSION * NATIVE;
  }

  /** What a query reads, and reads again whenever that has changed, in any tab. */
  live<Result>(query: (db: this) => Promise<Result>): Observable<Result> {
    return new Observable((observer) => liveQuery(() => query(this)).subscribe(observer));
  }
}
