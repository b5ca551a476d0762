import { computed, inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { DAY, shareMinutes } from '@enumeron/core/learn';
import { ITEMS } from '../../nouns/learning/items.kind';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { Storage } from '../../storage/storage';
import { LearnStore } from '../../nouns/learning/learn.store';

/** Other orders of which something was begun, with what is due and their share of the day's minutes. */
@Injectable()
export class OtherOrders {
  private readonly store = inject(LearnStore);
  private readonly orders = inject(OrdersStore);

  private readonly due = toSignal(
    inject(Storage).live(async (db) => {
      const due = new Map<string, number[]>();
      await db.rows(ITEMS).each(({ order, memory }) => {
        const own = due.get(order) ?? [];
        own.push(memory.due);
        due.set(order, own);
      });
      return due;
    }),
  );

  /** Each order with what is due until the day ends; the one that is practised is left out. */
  readonly all = computed(() => {
    const until = this.store.dayBegan() + DAY;
    const own = this.store.orderId();
    const orders = [...(this.due() ?? [])].flatMap(([id, dues]) => {
      const name = this.orders.find(id)?.name;
      return id === own || name === undefined
        ? []
        : [{ id, name, due: dues.filter((each) => each < until).length }];
    });
    const counts = [this.store.due().length, ...orders.map(({ due }) => due)];
    const [, ...minutes] = shareMinutes(this.store.settings().minutes, counts);
    return orders.map((order, index) => ({ ...order, minutes: minutes[index] }));
  });

  /** The share of the order that is practised. */
  readonly ownMinutes = computed(() => {
    const counts = [this.store.due().length, ...this.all().map(({ due }) => due)];
    return shareMinutes(this.store.settings().minutes, counts)[0];
  });
}
