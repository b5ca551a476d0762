import { computed, inject, Injectable, InjectionToken, signal } from '@angular/core';
import { BehaviorSubject, defer, finalize, Observable, retry, switchMap, tap, timer } from 'rxjs';
import type { Database } from './database';

/** Makes the database, not yet open. */
export type MakeDatabase = (inMemory?: boolean) => Promise<Database>;
export const MAKE_DATABASE = new InjectionToken<MakeDatabase>('make database');

/** How long storage may take to open before the application goes on without it, in milliseconds. */
export const PATIENCE = new InjectionToken<number>('patience', { providedIn: 'root', factory: () => 3000 });

/** How long after a reading that failed the next one is tried, in milliseconds. */
const AGAIN = 2000;

/** Why nothing is kept just now. */
export type Trouble = 'refused' | 'silent' | 'newer';

const after = (milliseconds: number): Promise<'silent'> =>
  new Promise((resolve) => setTimeout(() => resolve('silent'), milliseconds));

/**
 * Where everything lies: the browser's database, or one in memory while that cannot be had. All else asks here for
 * the one or the other and works the same over both.
 */
@Injectable({ providedIn: 'root' })
export class Storage {
  private readonly make = inject(MAKE_DATABASE);
  private readonly patience = inject(PATIENCE);
  private readonly current = new BehaviorSubject<Database | undefined>(undefined);
  private letIn: () => void = () => undefined;

  /** Resolves once the demo data lies there (or could not be laid out): everything else waits for it. */
  readonly laidOut = new Promise<void>((resolve) => (this.letIn = resolve));
  /** Set while nothing is kept. */
  readonly trouble = signal<Trouble | undefined>(undefined);
  /** The browser's database, when it answered late: what was done meanwhile can be taken into it. */
  readonly late = signal<Database | undefined>(undefined);
  /** How many readings failed and have not gone well since. */
  private readonly failing = signal(0);
  /** How often something was stored from here: a reading that began before does not hold it. */
  private written = 0;
  /** Whether something that is stored cannot be read just now. */
  readonly unread = computed(() => this.failing() > 0);

  /** The database in use. Waits until the data has been laid out. */
  async db(): Promise<Database> {
    await this.laidOut;
    if (!this.current.value) throw new Error('no database could be made');
    return this.current.value;
  }

  /**
   * Opens the browser's database, or one in memory where that is missing, refuses, is silent or is newer than this.
   *
   * @returns the database in use, for the demo data to be laid out in it before `openTo` lets everybody in.
   */
  async open(): Promise<Database> {
    const db = await this.make();
    const opening = db.open();
    try {
      const opened = await Promise.race([opening, after(this.patience)]);
      if (opened !== 'silent' && !db.isNewer) return this.use(db);
      this.trouble.set(opened === 'silent' ? 'silent' : 'newer');
      if (opened === 'silent') void opening.then(() => this.late.set(db)).catch(() => undefined);
    } catch (error) {
      console.warn(error);
      this.trouble.set('refused');
    }
    return this.use(await this.inMemory(db));
  }

  /** Lets everybody in to the database that was opened. */
  openTo(): void {
    this.letIn();
  }

  /** Takes the browser's database, which answered late, into use. */
  useLate(): void {
    const db = this.late();
    if (!db) return;
    this.use(db);
    this.late.set(undefined);
    this.trouble.set(undefined);
  }

  /** Notes that something was stored from here, and shows. */
  noteWritten(): void {
    this.written++;
  }

  /**
   * What a query reads, and reads again whenever that has changed; goes on after a reading that failed. It is never
   * older than what has been stored from here.
   */
  live<Result>(query: (db: Database) => Promise<Result>): Observable<Result> {
    return defer(() => {
      let failed = false;
      const note = (fails: boolean): void => {
        if (fails !== failed) this.failing.update((count) => count + (fails ? 1 : -1));
        failed = fails;
      };
      return defer(() => this.laidOut).pipe(
        switchMap(() => this.current),
        switchMap((db) => db?.live((each) => this.upToDate(() => query(each))) ?? []),
        tap({ next: () => note(false), error: () => note(true) }),
        retry({ delay: () => timer(AGAIN) }),
        finalize(() => note(false)),
      );
    });
  }

  private async upToDate<Result>(read: () => Promise<Result>): Promise<Result> {
    for (;;) {
      const before = this.written;
      const result = await read();
      if (this.written === before) return result;
    }
  }

  /** A database in memory; a newer one is shown in it as far as it can be read. */
  private async inMemory(stored: Database): Promise<Database> {
    const db = await this.make(true);
    await db.open();
    if (this.trouble() === 'newer') await copyInto(db, stored);
    return db;
  }

  private use(db: Database): Database {
    // Another tab brings the data to a newer version: nothing is written to it from here any more.
    db.on('versionchange', () => {
      db.close();
      this.trouble.set('newer');
    });
    this.current.next(db);
    return db;
  }
}

/** The rows of the tables that both have. */
const copyInto = async (target: Database, source: Database): Promise<void> => {
  const names = new Set(source.tables.map(({ name }) => name));
  for (const table of target.tables)
    if (names.has(table.name)) await table.bulkPut(await source.table(table.name).toArray());
};
