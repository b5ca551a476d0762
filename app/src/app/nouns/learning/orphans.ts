import { inject, Injectable } from '@angular/core';
import { BESIDE } from '../pack/beside.kind';
import { ITEMS } from './items.kind';
import { JOURNAL } from '../../storage/kinds/journal';
import { LEARNING } from './learning.kind';
import { ORDERS } from '../orders/orders.kind';
import { PACK } from '../pack/pack.kind';
import { REVIEWS } from './reviews.kind';
import { RUNS } from './runs.kind';
import { SCHEDULES } from './schedules.kind';
import { Storage } from '../../storage/storage';

const KINDS = [ITEMS, REVIEWS, LEARNING, RUNS, SCHEDULES, ORDERS, JOURNAL, PACK, BESIDE] as const;

/** What was learnt of orders that were deleted: it stays as long as deleting them can be undone. */
@Injectable()
export class Orphans {
  private readonly storage = inject(Storage);

  /** Takes away what is learnt of orders that are gone for good: neither stored, nor in hand, nor in the journal. */
  async sweep(): Promise<void> {
    const db = await this.storage.db();
    await db.transaction('rw', [...new Set(KINDS.map(({ table }) => table))], async () => {
      const learnt = (await db.rows(ITEMS).orderBy('order').uniqueKeys()) as string[];
      const pack = await db.rows(PACK).get(PACK.single.key);
      const beside = await db.rows(BESIDE).get(BESIDE.single.key);
      const inJournal = new Set<string>();
      await db.rows(JOURNAL).each(({ changes }) => {
        for (const { kind, key } of changes) if (kind === ORDERS.name) inJournal.add(key);
      });
      for (const order of learnt) {
        const stays =
          [pack?.orderId, beside?.pack?.orderId].includes(order) ||
          inJournal.has(order) ||
          (await db.rows(ORDERS).get(order));
        if (stays) continue;
        await db.rows(ITEMS).where('order').equals(order).delete();
        for (const kind of [REVIEWS, RUNS])
          await db.table(kind.table).where('[order+at]').between([order, 0], [order, Infinity]).delete();
        for (const kind of [LEARNING, SCHEDULES]) await db.table(kind.table).delete(order);
      }
    });
  }
}
