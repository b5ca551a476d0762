import { afterNextRender, inject, Injectable, Injector, signal } from '@angular/core';
import { DATABASE } from './db';
import { Action, leftInFlight } from './in-flight';
import { Journal } from './journal';
import { OrderRow } from './rows';
import { StateRows } from './state-row';

/** What must be read before the first screen: the demo data on the first visit, then the state. */
@Injectable({ providedIn: 'root' })
export class Boot {
  private readonly db = inject(DATABASE);
  private readonly journal = inject(Journal);
  private readonly rows = inject(StateRows);
  private readonly injector = inject(Injector);

  /** Set when the browser keeps nothing: the application works, and forgets. */
  readonly trouble = signal<string | undefined>(undefined);

  /**
   * On a first visit nothing is stored yet, so the screen neither waits for storage nor shares the machine with it.
   */
  async run(): Promise<void> {
    if (visitedBefore()) await this.open();
    else void painted(this.injector).then(() => this.open());
  }

  private async open(): Promise<void> {
    try {
      await this.seed();
      // The journal writes what was left, and waits for this.
      this.db.letIn();
      await this.finishWrites();
      if (visitedBefore()) await this.rows.load();
      rememberVisit();
      void askToPersist();
    } catch {
      this.trouble.set(
        'This browser keeps no data for Enumeron just now (private window, or storage full). ' +
          'All of it works, but nothing will be there after a reload.',
      );
    } finally {
      this.db.letIn();
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
  private async seed(): Promise<void> {
    if (await this.db.state.get('seeded')) return;
    const { sampleOrders } = await import('./sample');
    await this.db.transaction('rw', this.db.orders, this.db.state, async () => {
      // Another tab may have been faster.
      if (!(await this.db.state.get('seeded'))) await this.layOut(sampleOrders());
    });
  }

  /** Takes everything away, the journal too, and begins as on the first visit. Cannot be undone. */
  async eraseAll(): Promise<void> {
    const { sampleOrders } = await import('./sample');
    await this.db.transaction('rw', this.db.tables, async () => {
      await Promise.all(this.db.tables.map((table) => table.clear()));
      await this.layOut(sampleOrders());
    });
  }

  private async layOut(samples: readonly OrderRow[]): Promise<void> {
    const [{ id, name, cards }] = samples;
    await this.db.orders.bulkPut(samples);
    await this.db.state.put({ id: 'pack', orderId: id, name, home: cards, now: cards });
    await this.db.state.put({ id: 'seeded', at: Date.now() });
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

/** Resolves when the first screen has been painted, or a second later in a tab that is not shown. */
const painted = (injector: Injector): Promise<void> =>
  new Promise((resolve) => {
    afterNextRender(() => requestAnimationFrame(() => setTimeout(resolve)), { injector });
    setTimeout(resolve, 1000);
  });

/** Asks the browser not to clear the data when it runs short of room. */
const askToPersist = async (): Promise<void> => {
  const storage = (navigator as Partial<Navigator>).storage as Partial<StorageManager> | undefined;
  await storage?.persist?.();
};
