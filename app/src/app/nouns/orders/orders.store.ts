import { computed, inject, Injectable, Injector, runInInjectionContext, Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Origin } from '@enumeron/core/arrange';
import { Card, sayProblem } from '@enumeron/core/deck';
import { makeName } from '@enumeron/core/file/formats/name';
import { distinctUntilChanged, Observable, switchMap } from 'rxjs';
import { Scripts } from '../../platform/scripts';
import { Committed, Journal } from '../../storage/journal';
import { Kind, placeOf } from '../../storage/kind';
import { ORDERS, OrderRow } from './orders.kind';
import { newId } from '../../platform/new-id';
import { Reader } from '../../storage/reader';
import { Rows } from '../../storage/rows';
import { Write } from '../../storage/action';
import { carriedOn, changesOf } from '../../storage/live-rows';
import { Storage } from '../../storage/storage';

/** What stands in a list of orders: an order, or a stored row that is none and is left as it is. */
export type Listed =
  | { readonly id: string; readonly order: OrderRow }
  | { readonly id: string; readonly damaged: string; readonly name: string };

/** An order by its id and name, to choose from. */
export interface OrderName {
  readonly id: string;
  readonly name: string;
}

/** A part of a list: the first index, from 0, and the one after the last. */
export interface Range {
  readonly start: number;
  readonly end: number;
}

/** So many orders are simply listed; of more only those that can be seen are drawn. */
const MOST_LISTED = 60;

/** The most names that are offered to choose from; more are found by their beginning. */
const MOST_NAMES = 300;

const sameMap = (a: ReadonlyMap<string, unknown>, b: ReadonlyMap<string, unknown>): boolean =>
  a.size === b.size && [...a].every(([key, value]) => b.has(key) && b.get(key) === value);

/** By how many orders there are more after these writes. */
const growth = (writes: readonly Write[]): number =>
  writes
    .filter(({ place }) => place.kind === (ORDERS as Kind))
    .reduce((sum, { before, after }) => sum + Number(after !== undefined) - Number(before !== undefined), 0);

/**
 * A part of the list after changes.
 *
 * @param changes orders by id; undefined is one that is taken away.
 * @param added those that are new, in turn: they are the last of the list.
 */
const changed = (
  listed: readonly Listed[],
  changes: ReadonlyMap<string, OrderRow | undefined>,
  added: readonly OrderRow[],
  { start, end }: Range,
): readonly Listed[] => {
  const rows = listed.flatMap((each): Listed[] => {
    if (!changes.has(each.id)) return [each];
    const order = changes.get(each.id);
    return order ? [{ id: each.id, order }] : [];
  });
  const ids = new Set(rows.map(({ id }) => id));
  const more = added.filter(({ id }) => !ids.has(id)).map((order) => ({ id: order.id, order }));
  return [...rows, ...more.slice(0, Math.max(0, end - start - rows.length))];
};

/** A part of the list after what has been stored since it was read. */
const carry = (listed: readonly Listed[], writes: readonly Write[], range: Range): readonly Listed[] => {
  const changes = changesOf(ORDERS, writes);
  const news = new Set(writes.filter(({ before }) => before === undefined).map(({ place }) => place.key));
  // As they are after all of the writes: one may have been changed, or taken away, at once after it came.
  const added = [...changes.values()].filter((row) => row !== undefined).filter(({ id }) => news.has(id));
  return changed(listed, changes, added, range);
};

/** The orders that the user has, live, and what can be done with them. Every change can be undone. */
@Injectable({ providedIn: 'root' })
export class OrdersStore {
  private readonly storage = inject(Storage);
  private readonly rows = inject(Rows);
  private readonly reader = inject(Reader);
  private readonly journal = inject(Journal);
  private readonly scripts = inject(Scripts);
  private readonly injector = inject(Injector);
  private kept: Signal<readonly Listed[]> | undefined;

  private readonly stored = toSignal(
    carriedOn(
      this.storage.live((db) => db.rows(ORDERS).orderBy('made').count()),
      this.rows,
      (count, writes) => count + growth(writes),
    ),
  );
  private readonly unstored = computed(() => this.rows.unstored(ORDERS), { equal: sameMap });
  /** Orders that show and are not stored yet; they are the newest. */
  private readonly added = computed(() =>
    [...this.unstored().values()].filter((row) => row !== undefined).filter(({ id }) => !this.isStored(id)),
  );

  /** How many orders there are, damaged ones among them; undefined until storage has been read. */
  readonly count = computed(() => {
    const [stored, unstored] = [this.stored(), this.unstored()];
    const gone = [...unstored.values()].filter((row) => row === undefined).length;
    return stored === undefined ? undefined : stored - gone + this.added().length;
  });

  /** Whether there are so many that only those that can be seen are drawn. */
  readonly isLong = computed(() => (this.count() ?? 0) > MOST_LISTED);

  /**
   * All orders by age, live; none where there are too many to list. They are kept from the first time on, so that
   * they are there at once when they are listed again.
   */
  list(): Signal<readonly Listed[]> {
    const range = computed(() => ({ start: 0, end: this.isLong() ? 0 : MOST_LISTED }));
    return (this.kept ??= runInInjectionContext(this.injector, () => this.page(range)));
  }

  /** An order by its id, live; undefined while it is not there. */
  find(id: string): OrderRow | undefined {
    return this.rows.at(placeOf(ORDERS, id))();
  }

  /** Whether storage has been asked for an order. */
  isRead(id: string): boolean {
    return this.rows.isRead(placeOf(ORDERS, id));
  }

  /** So many orders at most, the newest first. Call it in an injection context. */
  newest(most: number): Signal<readonly OrderRow[]> {
    const listed = this.page(
      computed(() => {
        const end = this.count() ?? 0;
        return { start: Math.max(0, end - most), end };
      }),
    );
    return computed(() =>
      listed()
        .flatMap((each) => ('order' in each ? [each.order] : []))
        .reverse(),
    );
  }

  /**
   * A part of the list by age, live. Call it in an injection context.
   *
   * @param range the first index, from 0, and the one after the last.
   */
  page(range: Signal<Range>): Signal<readonly Listed[]> {
    const stored = toSignal(
      toObservable(range).pipe(
        distinctUntilChanged((a, b) => a.start === b.start && a.end === b.end),
        switchMap((wanted) =>
          carriedOn(this.read(wanted), this.rows, (listed, writes) => carry(listed, writes, wanted)),
        ),
      ),
      { initialValue: [] },
    );
    return computed(() => changed(stored(), this.unstored(), this.added(), range()));
  }

  /** The names of orders to choose from, by age; the newest of them where there are very many. */
  names(): Signal<readonly OrderName[] | undefined> {
    const page = this.page(
      computed(() => {
        const end = this.count() ?? 0;
        return { start: Math.max(0, end - MOST_NAMES), end };
      }),
    );
    return computed(() =>
      this.count() === undefined
        ? undefined
        : page().flatMap((each) => ('order' in each ? [{ id: each.id, name: each.order.name }] : [])),
    );
  }

  /** Adds an order and gives its id. */
  async add(name: string, cards: readonly Card[], origin?: Origin): Promise<string> {
    const at = Date.now();
    const made = { id: newId(), name: makeName(name), cards, sample: false, made: at, changed: at };
    const row: OrderRow = origin ? { ...made, origin } : made;
    await this.journal.commit(`new order ${row.name}`, [placeOf(ORDERS, row.id)], () => [row]);
    return row.id;
  }

  /** Another order with the same cards, as the user's own. */
  async duplicate(order: OrderRow): Promise<string> {
    return this.add(await this.freeName(order.name), order.cards, order.origin);
  }

  /** Takes an order away. The pack stays as it lies. */
  remove({ id, name }: OrderRow): Promise<Committed> {
    return this.journal.commit(`delete ${name}`, [placeOf(ORDERS, id)], ([order]) => order && [undefined]);
  }

  /** Lays out the sample orders again, beside the user's own. */
  async restoreSamples(): Promise<void> {
    const { sampleOrders } = await this.scripts.load(() => import('./sample'));
    const samples = sampleOrders();
    await this.journal.commit(
      'restore the sample orders',
      samples.map(({ id }) => placeOf(ORDERS, id)),
      () => samples,
    );
  }

  /** Whether a row that is on its way to storage replaces one that is there. */
  private isStored(id: string): boolean {
    return this.rows.isStored(placeOf(ORDERS, id));
  }

  private read({ start, end }: Range): Observable<readonly Listed[]> {
    return this.storage
      .live((db) =>
        db
          .rows(ORDERS)
          .orderBy('made')
          .offset(start)
          .limit(end - start)
          .toArray(),
      )
      .pipe(switchMap((rows) => this.reader.reading(() => rows.flatMap((row) => this.listed(row.id, row)))));
  }

  private listed(id: string, row: unknown): Listed[] {
    if (row === undefined) return [];
    const outcome = this.reader.read(ORDERS, row);
    if (outcome.ok) return [{ id, order: outcome.row }];
    const { name } = row as { name?: unknown };
    const shown = typeof name === 'string' ? name : 'without a name';
    return [{ id, damaged: sayProblem(outcome.problems[0]), name: shown }];
  }

  private async freeName(name: string): Promise<string> {
    const base = `${[...name].slice(0, 100).join('')} copy`;
    const db = await this.storage.db();
    // All in one reading: keys alone would be read one by one.
    const copies = await db.rows(ORDERS).where('name').startsWith(base).toArray();
    const taken = new Set(copies.map((order) => order.name));
    for (let count = 1; ; count++) {
      const candidate = count === 1 ? base : `${base} ${count.toString()}`;
      if (!taken.has(candidate)) return candidate;
    }
  }
}
