import { computed, inject, Injectable } from '@angular/core';
import { Item, parseItem, promptOf, showSaid, truthOf } from '@enumeron/core/learn';
import { Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { ItemRow, ITEMS } from '../../nouns/learning/items.kind';
import { ReviewRow, REVIEWS } from '../../nouns/learning/reviews.kind';
import { newId } from '../../platform/new-id';
import { Clock } from '../../platform/clock';
import { LearnStore } from '../../nouns/learning/learn.store';

/** So many of them are named. */
const NAMED = 6;

interface Moved {
  readonly row: ItemRow;
  readonly item: Item;
  /** What is right now. */
  readonly truth: string;
}

/** Items that are answered in another way than when they were asked last, since their order was edited. */
@Injectable()
export class MovedItems {
  private readonly store = inject(LearnStore);
  private readonly journal = inject(Journal);
  private readonly clock = inject(Clock);

  readonly all = computed<readonly Moved[]>(() => {
    const order = this.store.order();
    return [...this.store.itemRows().values()].flatMap((row) => {
      const item = parseItem(row.item);
      if (!item || !order.includes(item.card)) return [];
      const truth = showSaid(truthOf(item, order));
      return truth === row.truth ? [] : [{ row, item, truth }];
    });
  });
  readonly says = computed(() => {
    const order = this.store.order();
    const names = [...new Set(this.all().map(({ item }) => showSaid(promptOf(item, order))))];
    return names.slice(0, NAMED).join(' ') + (names.length > NAMED ? ' …' : '');
  });

  /** They are asked when they would have been, for what is right now. */
  async keep(): Promise<void> {
    const moved = this.all();
    const places = moved.map(({ row }) => placeOf(ITEMS, row.id));
    await this.journal.commit('keep what is known', places, (rows) =>
      rows.map((row, index) => row && { ...row, truth: moved[index].truth }),
    );
    for (const { row } of moved) this.store.touch(row.id);
  }

  /** They are as if they had never been asked; that stands in the history. */
  async beginAnew(): Promise<void> {
    const moved = this.all();
    const now = this.clock.now();
    const resets = moved.map(({ row }): ReviewRow => {
      // Behind all its answers, also where the clock was put back since.
      const at = Math.max(now, (row.memory.last ?? 0) + 1);
      return {
        ...{ id: newId(), order: row.order, item: row.item, at, answered: '', right: false, ms: 0, grade: 1 },
        ...{ reset: true, before: row.memory },
      };
    });
    const items = moved.map(({ row }) => placeOf(ITEMS, row.id));
    const reviews = resets.map(({ id }) => placeOf(REVIEWS, id));
    for (const { row } of moved) this.store.touch(row.id);
    await this.journal.commit('start cards over', [...items, ...reviews], (rows) => {
      const stored = rows.slice(0, items.length) as readonly (ItemRow | undefined)[];
      // What another tab has answered since is as that answer made it.
      const isSame = stored.map((row, index) => row?.memory.last === moved[index].row.memory.last);
      return [
        ...stored.map((row, index) => (isSame[index] ? undefined : row)),
        ...resets.map((reset, index) => (isSame[index] ? reset : undefined)),
      ];
    });
  }
}
