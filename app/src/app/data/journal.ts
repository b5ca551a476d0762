import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { DATABASE } from './db';
import { Action, keepInFlight } from './in-flight';
import { Change, JournalRow } from './rows';

/** A row to be written (or taken away, when `after` is undefined). */
export type Write = Omit<Change, 'before'>;

/** How many actions can be undone. */
const DEPTH = 300;

/**
 * Every change that can be undone goes through here: one action, one transaction, over whichever rows it
 * touches. The journal is stored with the data, so that undo survives a reload and is one line for all tabs.
 */
@Injectable({ providedIn: 'root' })
export class Journal {
  private readonly db = inject(DATABASE);
  private queue: Promise<unknown> = this.db.laidOut;
  private inFlight: readonly Action[] = [];

  /** What undo would take back, or undefined when there is nothing. */
  readonly undoable = toSignal(this.db.live(() => this.lastDone().then((row) => row?.label)));
  /** What redo would do again, or undefined. */
  readonly redoable = toSignal(this.db.live(() => this.firstUndone().then((row) => row?.label)));

  /** Writes rows as one action. Rejects, with nothing written, when storage refuses. */
  async commit(label: string, writes: readonly Write[]): Promise<void> {
    const action = { label, writes };
    this.setInFlight([...this.inFlight, action]);
    try {
      await this.store(action);
    } finally {
      this.setInFlight(this.inFlight.filter((each) => each !== action));
    }
  }

  /** Writes what a tab showed and could not store before it was left; what is stored already is passed over. */
  async finish(actions: readonly Action[]): Promise<void> {
    for (const { label, writes } of actions) {
      const rows: unknown[] = await Promise.all(
        writes.map(({ table, key }) => this.db.table(table).get(key) as Promise<unknown>),
      );
      const stored = writes.every(
        ({ after }, index) => JSON.stringify(after) === JSON.stringify(rows[index]),
      );
      if (!stored) await this.commit(label, writes);
    }
    this.setInFlight(this.inFlight);
  }

  private setInFlight(actions: readonly Action[]): void {
    this.inFlight = actions;
    keepInFlight(actions);
  }

  private store({ label, writes }: Action): Promise<void> {
    return this.transact(async () => {
      await this.db.journal.where('done').equals(0).delete();
      const changes: Change[] = [];
      for (const write of writes) {
        const before: unknown = await this.db.table(write.table).get(write.key);
        changes.push({ ...write, before });
        await this.write(write.table, write.key, write.after);
      }
      const id = await this.db.journal.add({ label, at: Date.now(), done: 1, changes });
      await this.db.journal
        .where('id')
        .belowOrEqual(id - DEPTH)
        .delete();
    });
  }

  /** Takes the last action back and gives its label, or undefined when there is none. */
  undo(): Promise<string | undefined> {
    return this.transact(async () => {
      const row = await this.lastDone();
      if (!row) return undefined;
      for (const { table, key, before } of [...row.changes].reverse()) await this.write(table, key, before);
      await this.db.journal.put({ ...row, done: 0 });
      return row.label;
    });
  }

  /** Does the last undone action again and gives its label, or undefined when there is none. */
  redo(): Promise<string | undefined> {
    return this.transact(async () => {
      const row = await this.firstUndone();
      if (!row) return undefined;
      for (const { table, key, after } of row.changes) await this.write(table, key, after);
      await this.db.journal.put({ ...row, done: 1 });
      return row.label;
    });
  }

  private lastDone(): Promise<JournalRow | undefined> {
    return this.db.journal.where('done').equals(1).last();
  }

  private firstUndone(): Promise<JournalRow | undefined> {
    return this.db.journal.where('done').equals(0).first();
  }

  private async write(table: Change['table'], key: string, row: unknown): Promise<void> {
    if (row === undefined) await this.db.table(table).delete(key);
    else await this.db.table(table).put(row);
  }

  /** Runs transactions one after the other, so that actions are written in the order in which they were done. */
  private transact<Result>(run: () => Promise<Result>): Promise<Result> {
    const result = this.queue.then(() =>
      this.db.transaction('rw', this.db.orders, this.db.state, this.db.journal, run),
    );
    this.queue = result.catch(() => undefined);
    return result;
  }
}
