import { computed, Injector } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import { concat, EMPTY, filter, lastValueFrom, switchMap, take } from 'rxjs';
import { OrdersStore } from '../nouns/orders/orders.store';
import { PackStore } from '../nouns/pack/pack.store';
import { RUN_JOB } from '../platform/workers/jobs';
import { propertiesAsked, spreadsAsked } from './order/asked';

/**
 * Fetches what the sheet of an order shows behind the cards, reads the order that the pack is in, and finds out what
 * it can do: Arrange opens with all of it.
 */
export const arrangeAhead = async (injector: Injector): Promise<void> => {
  const [orders, pack, run] = [injector.get(OrdersStore), injector.get(PackStore), injector.get(RUN_JOB)];
  const inUse = computed(() => {
    const id = pack.pack().orderId;
    return orders.isRead(id) ? { order: orders.find(id) } : undefined;
  });
  const found = toObservable(inUse, { injector }).pipe(
    filter((read) => read !== undefined),
    take(1),
    switchMap(({ order }) =>
      order
        ? concat(run('properties', propertiesAsked(order.cards)), run('spreads', spreadsAsked(order.cards)))
        : EMPTY,
    ),
  );
  await Promise.all([import('./order/order-actions'), import('./order/order-properties')]);
  await lastValueFrom(found, { defaultValue: undefined });
};
