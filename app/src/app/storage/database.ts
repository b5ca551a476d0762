import Dexie, { DexieOptions, liveQuery, Table, Transaction } from 'dexie';
import { Observable } from 'rxjs';
import { Kind, kindIn, migrated } from './kind';

// On a loopback address it would take a stack trace of every read.
Dexie.debug = false;

const NAME = 'enumeron';

/** What Dexie calls version n, the browser calls 10 n. */
const NATIVE = 10;

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
const migrateTable = async (table: Table, kinds: readonly Kind[], to: number): Promise<void> => {
  const keys = await table.toCollection().primaryKeys();
  for (const key of keys) {
    const kind = kindIn(kinds, table.name, key);
    if (!kind) continue;
    const row: unknown = await table.get(key);
    const next = migrated(kind, row, to - 1, to);
    if (next === row) continue;
    if (keyIn(table, next) !== key) await table.delete(key);
    await table.put(next);
  }
};

/** Brings the tables of those kinds to a version that do something to come to it. */
const migrateTo =
  (kinds: readonly Kind[], version: number) =>
  async (transaction: Transaction): Promise<void> => {
    const changed = kinds.filter(({ migrate = {} }) => Object.hasOwn(migrate, version));
    for (const name of new Set(changed.map(({ table }) => table)))
      await migrateTable(transaction.table(name), kinds, version);
  };

/** Everything that the browser keeps. docs/formats.md says what each table holds. */
export class Database extends Dexie {
  /**
   * @param kinds every kind that is stored: tables, keys and indexes are made from them.
   * @param dataVersion the version of all that is stored.
   */
  constructor(
    readonly kinds: readonly Kind[],
    private readonly dataVersion: number,
    name = NAME,
    options: DexieOptions = {},
  ) {
    // Nothing is read twice in a row, and what is shown must be what is stored.
    super(name, { cache: 'disabled', ...options });
    // Live queries run only where the browser has a database of its own, or is said to have one.
    if (options.indexedDB && !(Dexie.dependencies.indexedDB as unknown))
      Object.assign(Dexie.dependencies, { indexedDB: options.indexedDB, IDBKeyRange: options.IDBKeyRange });
    this.version(1).stores(STORES_1);
    this.version(2).stores(STORES_2).upgrade(migrateTo(kinds, 2));
    // The versions between have new tables alone: no row changes.
    const stores = Object.fromEntries(kinds.map((kind) => [kind.table, kind.stores]));
    this.version(dataVersion).stores(stores).upgrade(migrateTo(kinds, dataVersion));
  }

  /** The kind of a name, or undefined when none has it. */
  kindNamed(name: string): Kind | undefined {
    return this.kinds.find((kind) => kind.name === name);
  }

  /** The kind of a stored row, or undefined when no kind has it. */
  kindAt(table: string, key: unknown): Kind | undefined {
    return kindIn(this.kinds, table, key);
  }

  /** The rows of a kind, by key. */
  rows<Row>({ table }: Kind<Row>): Table<Row, string> {
    return this.table(table);
  }

  /** Set when what is stored was written by a newer version; Dexie opens it nevertheless. Ask once it is open. */
  get isNewer(): boolean {
    return this.backendDB().version > this.dataVersion * NATIVE;
  }

  /** What a query reads, and reads again whenever that has changed, in any tab. */
  live<Result>(query: (db: this) => Promise<Result>): Observable<Result> {
    return new Observable((observer) => liveQuery(() => query(this)).subscribe(observer));
  }
}
