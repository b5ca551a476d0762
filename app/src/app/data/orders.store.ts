import { effect, inject, Injectable, signal } from '@angular/core';
import { Card, Problem } from '@enumeron/core/deck';
import { switchMap } from 'rxjs';
import { Boot } from './boot';
import { DATABASE } from './db';
import { Journal, Write } from './journal';
import { BesideRow, LaidPack, OrderRow, Origin, PackRow } from './rows';

/** A stored row that is not an order; it is left as it is. */
export interface DamagedOrder {
  readonly name: string;
  readonly problem: Problem;
}

const newId = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) => byte.toString(16).padStart(2, '0')).join(
    '',
  );

const put = (row: OrderRow): Write => ({ table: 'orders', key: row.id, after: row });

/** The rows that are orders, by age, and those that are not. */
const sorted = async (
  rows: readonly unknown[],
): Promise<{ readonly good: readonly OrderRow[]; readonly damaged: readonly DamagedOrder[] }> => {
  const { check, orderSchema } = await import('./schemas');
  const good: OrderRow[] = [];
  const damaged: DamagedOrder[] = [];
  for (const row of rows) {
    const outcome = check<OrderRow>(orderSchema, row);
    if (outcome.ok) good.push(outcome.value);
    else damaged.push({ name: String((row as Partial<OrderRow>).name), problem: outcome.problems[0] });
  }
  return { good: good.sort((a, b) => a.made - b.made || a.name.localeCompare(b.name)), damaged };
};

/** The orders that the user has, live, and what can be done with them. Every change can be undone. */
@Injectable({ providedIn: 'root' })
export class OrdersStore {
  private readonly db = inject(DATABASE);
  private readonly journal = inject(Journal);
  private readonly all = signal<readonly OrderRow[] | undefined>(undefined);
  private readonly unreadable = signal<readonly DamagedOrder[]>([]);

  /** By name; undefined until storage has been read. */
  readonly orders = this.all.asReadonly();
  readonly damaged = this.unreadable.asReadonly();

  constructor() {
    // Only what was read last counts: the checks of an earlier reading may end later.
    this.db
      .live(() => this.db.orders.toArray())
      .pipe(switchMap(sorted))
      .subscribe({
        next: ({ good, damaged }) => {
          this.all.set(good);
          this.unreadable.set(damaged);
        },
        error: () => this.all.set([]),
      });
    const { trouble } = inject(Boot);
    effect(() => {
      if (trouble() !== undefined) this.all.update((orders) => orders ?? []);
    });
  }

  find(id: string): OrderRow | undefined {
    return this.all()?.find((order) => order.id === id);
  }

  /** Adds an order and gives its id. */
  async add(name: string, cards: readonly Card[], origin?: Origin): Promise<string> {
    const at = Date.now();
    const made = { id: newId(), name, cards, sample: false, made: at, changed: at };
    const row: OrderRow = origin ? { ...made, origin } : made;
    await this.journal.commit(`new order ${name}`, [put(row)]);
    return row.id;
  }

  /** Another order with the same cards, as the user's own. */
  duplicate(order: OrderRow): Promise<string> {
    return this.add(this.freeName(order.name), order.cards, order.origin);
  }

  /** Renames an order, and the packs that are in it. */
  async rename(order: OrderRow, name: string): Promise<void> {
    await this.journal.commit(`rename ${order.name}`, [
      put({ ...order, name, changed: Date.now() }),
      ...(await this.packsIn(order, (pack) => ({ ...pack, name }))),
    ]);
  }

  /** Changes an order's name and cards. A pack that came from it is laid in the new order. */
  async change(order: OrderRow, name: string, cards: readonly Card[]): Promise<void> {
    const relaid: LaidPack = { orderId: order.id, name, home: cards, now: cards };
    await this.journal.commit(`change ${order.name}`, [
      // Cards changed by hand are no longer what a rule or recipe made.
      put({ ...order, origin: undefined, name, cards, changed: Date.now() }),
      ...(await this.packsIn(order, () => relaid)),
    ]);
  }

  /** Takes an order away. The pack stays as it lies. */
  async remove(order: OrderRow): Promise<void> {
    await this.journal.commit(`delete ${order.name}`, [{ table: 'orders', key: order.id, after: undefined }]);
  }

  /** Lays out the sample orders again, beside the user's own. */
  async restoreSamples(): Promise<void> {
    const { sampleOrders } = await import('./sample');
    await this.journal.commit('restore the sample orders', sampleOrders().map(put));
  }

  /** Writes for the packs in hand and beside that are in this order. */
  private async packsIn({ id }: OrderRow, change: (pack: LaidPack) => LaidPack): Promise<Write[]> {
    const pack = (await this.db.state.get('pack')) as PackRow | undefined;
    const beside = (await this.db.state.get('beside')) as BesideRow | undefined;
    return [
      ...(pack?.orderId === id
        ? [{ table: 'state', key: 'pack', after: { id: 'pack', ...change(pack) } } as const]
        : []),
      ...(beside?.pack?.orderId === id
        ? [{ table: 'state', key: 'beside', after: { id: 'beside', pack: change(beside.pack) } } as const]
        : []),
    ];
  }

  private freeName(name: string): string {
    const taken = new Set(this.all()?.map((order) => order.name));
    const base = `${name.slice(0, 50)} copy`;
    for (let count = 1; ; count++) {
      const candidate = count === 1 ? base : `${base} ${count}`;
      if (!taken.has(candidate)) return candidate;
    }
  }
}
