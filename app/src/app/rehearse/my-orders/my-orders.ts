import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { RouterLink } from '@angular/router';
import { showCard } from '@enumeron/core/deck';
import { countOf } from '@enumeron/core/file/deck/countOf';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { cardsNamed, withOrder } from '@enumeron/core/file/rehearse/withOrder';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { ByRecord } from '../../nouns/procedures/by-record';
import { ProcedureRow } from '../../nouns/procedures/procedures.kind';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { KeptVerdict } from '../../nouns/procedures/verdicts.kind';
import { keptOf, keyWith, VerdictsStore } from '../../nouns/procedures/verdicts.store';
import { jobView } from '../../platform/workers/job-view';
import { Strip } from '../../ui/strip';
import { titled } from '../../ui/titled';
import { CasePicture } from '../list/case-picture';

/** So many orders are tried: the newest. */
const MOST_ORDERS = 30;

/** A procedure done with an order: what is known of that, or that it uses other cards. */
interface Cell {
  readonly order: OrderRow;
  readonly procedure: Procedure | undefined;
  readonly key: string;
  readonly stamp: string;
  readonly found: KeptVerdict | undefined;
}

/** The share that works, in 100, no sooner 100 than all of them. */
const inHundred = (share: number): string =>
  share === 1 ? '100' : Math.min(99, Math.max(share > 0 ? 1 : 0, Math.round(share * 100))).toString();

/** Which orders procedures hold for: each of the user's orders in the place of the procedure's own. */
@Component({
  selector: 'en-my-orders',
  imports: [CasePicture, MatButton, MatProgressBar, RouterLink, Strip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './my-orders.html',
  styleUrls: ['../../ui/page.scss', './my-orders.scss'],
})
export class MyOrders {
  private readonly procedures = inject(ProceduresStore);
  private readonly store = inject(OrdersStore);
  private readonly verdicts = inject(VerdictsStore);
  private readonly byRecord = inject(ByRecord);

  /** The procedure of the address; all of them where there is none. */
  readonly id = input<string>();

  protected readonly orders = this.store.newest(MOST_ORDERS);
  protected readonly others = computed(() => Math.max(0, (this.store.count() ?? 0) - MOST_ORDERS));

  private readonly chosen = computed((): readonly ProcedureRow[] | undefined => {
    const id = this.id();
    if (id === undefined) return this.procedures.all();
    const row = this.procedures.find(id);
    return row ? [row] : this.procedures.isRead(id) ? [] : undefined;
  });
  /** Their choices weighed by the record where the user wants that. */
  private readonly weighed = computed(() =>
    this.chosen()?.map((row) => ({ ...row, procedure: this.byRecord.weighed(row.id, row.procedure) })),
  );
  /** Each procedure with each order. */
  protected readonly rows = computed(() =>
    this.weighed()?.map((row) => {
      const cells = this.orders().map((order) => this.cell(row, order));
      return {
        ...{ id: row.id, name: row.procedure.name || 'Without a name', cells },
        named: cardsNamed(row.procedure).map(showCard).join(', '),
        // An order may be looked for where one that has its cards fails.
        fails: cells.some(({ found }) => found?.share !== undefined && found.share < 1),
      };
    }),
  );
  /** The one procedure that is asked about. */
  protected readonly only = computed(() => (this.id() === undefined ? undefined : this.rows()?.at(0)));
  /** Its orders, those it holds best for first. */
  protected readonly ranked = computed(() =>
    [...(this.only()?.cells ?? [])]
      .filter(({ procedure }) => procedure)
      .sort((a, b) => (b.found?.share ?? -1) - (a.found?.share ?? -1)),
  );
  protected readonly lacking = computed(() => this.only()?.cells.filter(({ procedure }) => !procedure) ?? []);

  private readonly asked = computed(() =>
    (this.rows() ?? []).flatMap(({ cells }) => cells.filter(({ procedure }) => procedure)),
  );
  protected readonly left = computed(() => this.asked().filter(({ found }) => !found).length);
  protected readonly progress = computed(() => {
    const all = this.asked().length;
    return {
      done: all - this.left(),
      all,
      says: `${(all - this.left()).toString()} of ${countOf(all, 'proof')}`,
    };
  });
  protected readonly stopped = signal(false);
  /** The next of which nothing is known: they are found one after the other. */
  private readonly next = computed(() =>
    this.verdicts.isRead() && !this.stopped() ? this.asked().find(({ found }) => !found) : undefined,
  );
  private readonly finding = jobView('verdict', () => {
    const procedure = this.next()?.procedure;
    return procedure && { procedure };
  });
  protected readonly failed = computed(() => this.finding()?.kind === 'failed');
  protected readonly inHundred = inHundred;

  constructor() {
    titled('Rehearse', () =>
      this.id() === undefined ? 'Orders and procedures' : `Orders · ${this.only()?.name ?? ''}`,
    );
    effect(() => {
      // Of two orders with the same cards the second asks nothing new: what was found for the first is its answer, too.
      const [view, next] = [this.finding(), this.next()];
      if (next && view?.kind === 'ended') this.verdicts.keep(next.key, keptOf(view.result, next.stamp));
    });
  }

  private readonly withOrders = new WeakMap<
    Procedure,
    WeakMap<OrderRow['cards'], { of: Procedure | undefined }>
  >();

  private cell(row: ProcedureRow, order: OrderRow): Cell {
    const { key, stamp } = keyWith(row, order);
    return {
      order,
      procedure: this.given(row.procedure, order),
      key,
      stamp,
      found: this.verdicts.of(key, stamp),
    };
  }

  /** The procedure with the order in the place of its own, made once. */
  private given(procedure: Procedure, { cards }: OrderRow): Procedure | undefined {
    const made =
      this.withOrders.get(procedure) ?? new WeakMap<OrderRow['cards'], { of: Procedure | undefined }>();
    this.withOrders.set(procedure, made);
    const known = made.get(cards) ?? { of: withOrder(procedure, cards) };
    made.set(cards, known);
    return known.of;
  }
}
