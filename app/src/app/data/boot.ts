import { inject, Injectable, signal } from '@angular/core';
import { DATABASE } from './db';
import { Action, leftInFlight } from './in-flight';
import { Journal } from './journal';
import { sampleOrders } from './sample';
import { StateRows } from './state-row';

/** What must be read before the first screen: the demo data on the first visit, then the state. */
@Injectable({ providedIn: 'root' })
export class Boot {
  private readonly db = inject(DATABASE);
  private readonly journal = inject(Journal);
  private readonly rows = inject(StateRows);

  /** Set when the browser keeps nothing: the application works, and forgets. */
  readonly trouble = signal<string | undefined>(undefined);

  /** On a first visit nothing is stored yet, so the screen does not wait until the demo data is. */
  async run(): Promise<void> {
    const stored = this.open();
    if (visitedBefore()) await stored;
  }

  private async open(): Promise<void> {
    try {
      await this.seed();
      await this.finishWrites();
      if (visitedBefore()) await this.rows.load();
      rememberVisit();
      void askToPersist();
    } catch {
      this.trouble.set(
        'This browser keeps no data for Enumeron just now (private window, or storage full). ' +
          'All of it works, but nothing will be there after a reload.',
      );
    }
  }

  private async finishWrites(): Promise<void> {
    const left = leftInFlight();
    if (Array.isArray(left) && left.length === 0) return;
    const { check, actionsSchema } = await import('./schemas');
    const outcome = check<Action[]>(actionsSchema, left);
    await this.journal.finish(outcome.ok ? outcome.value : []);
  }

  /** Lays out the demo data unless that has been done before. */
  async seed(): Promise<void> {
    await this.db.transaction('rw', this.db.orders, this.db.state, async () => {
      if (await this.db.state.get('seeded')) return;
      const samples = sampleOrders();
      const [{ id, name, cards }] = samples;
      await this.db.orders.bulkPut(samples);
      await this.db.state.put({ id: 'pack', orderId: id, name, home: cards, now: cards });
      await this.db.state.put({ id: 'seeded', at: Date.now() });
    });
  }

  /** Takes everything away, the journal too, and begins as on the first visit. Cannot be undone. */
  async eraseAll(): Promise<void> {
    await this.db.transaction('rw', this.db.tables, async () => {
      await Promise.all(this.db.tables.map((table) => table.clear()));
      await this.seed();
    });
  }
}

/** A hint that can be read at once, before the database is open; where it is wrong, the rows follow a little later. */
const VISITED = 'enumeron-visited';

const visitedBefore = (): boolean => {
  try {
    return localStorage.getItem(VISITED) !== null;
  } catch {
    return true;
  }
};

const rememberVisit = (): void => {
  try {
    localStorage.setItem(VISITED, '1');
  } catch {
    // Without it the first screen waits for the database; nothing else changes.
  }
};

/** Asks the browser not to clear the data when it runs short of room. */
const askToPersist = async (): Promise<void> => {
  const storage = (navigator as Partial<Navigator>).storage as Partial<StorageManager> | undefined;
  await storage?.persist?.();
};
