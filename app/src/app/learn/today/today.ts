import { CountPipe } from '../../ui/count-pipe';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { bySuit } from '@enumeron/core/deck';
import { CardText } from '../../ui/card-text';
import { HeadWayList } from '../../ui/head-way-list';
import { MissingPart } from '../../ui/missing-part';
import { once } from '../../platform/once';
import { LearnStore } from '../../nouns/learning/learn.store';
import { startByEnter } from '../start-by-enter';
import { SuitCell, SuitSheet } from '../../ui/suit-sheet';
import { MovedItems } from './moved-items';
import { NextDays } from './next-days';
import { OtherOrders } from './other-orders';

const MINUTE = 60_000;

/** What is due today, how long it takes, and the start; below, how far each card is. */
@Component({
  selector: 'en-today',
  imports: [CountPipe, CardText, HeadWayList, MatButton, MissingPart, NextDays, RouterLink, SuitSheet],
  providers: [MovedItems, OtherOrders],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './today.html',
  styleUrl: './today.scss',
})
export class Today {
  protected readonly store = inject(LearnStore);
  private readonly router = inject(Router);

  protected readonly others = inject(OtherOrders);
  protected readonly moved = inject(MovedItems);

  protected readonly due = computed(() => this.store.due().length);
  protected readonly takes = computed(() =>
    Math.max(1, Math.round(((this.due() + this.store.fresh().length) * this.store.usualTime()) / MINUTE)),
  );
  protected readonly nothing = computed(() => this.due() + this.store.fresh().length === 0);
  /** A practice of this order that was left before its end. */
  protected readonly left = computed(() => this.store.left() === 'items');

  /** Every card with how many of its items are held, in rows by suit, and what else the pack has. */
  protected readonly rows = computed(() => {
    const [heldOf, begun, directions] = [this.store.heldOf(), this.store.begun(), this.directions()];
    return bySuit(this.store.order()).map((row) =>
      row.map((card): SuitCell => {
        const held = heldOf.get(card) ?? 0;
        const told = begun.has(card)
          ? { text: held.toString(), spoken: `${held.toString()} held` }
          : { text: '·', spoken: 'not begun' };
        return { card, part: held / Math.max(1, directions), ...told };
      }),
    );
  });
  protected readonly directions = computed(() => this.store.settings().directions.length);
  protected readonly heldItems = computed(() =>
    [...this.store.heldOf().values()].reduce((sum, count) => sum + count, 0),
  );
  protected readonly blocks = computed(() => this.store.plan().blocks.length);

  /** Whether nothing is asked by heart: the order is worked out, and the sum is what is practised. */
  protected readonly bySum = computed(
    () => this.store.isComputed() && this.store.settings().directions.length === 0,
  );

  constructor() {
    startByEnter(() => {
      if (this.bySum() || !this.nothing()) void this.start();
    });
  }

  protected async start(): Promise<void> {
    if (this.bySum()) {
      const kinds = 'stack number,card of a stack number';
      await this.router.navigate(['/learn/sums/practise'], { queryParams: { kinds } });
      return;
    }
    const shared = this.others.all().some(({ due }) => due > 0);
    const queryParams = shared ? { minutes: this.others.ownMinutes() } : {};
    await this.router.navigate(['/learn/practise'], { queryParams });
  }

  protected readonly keep = once('keep what is known', () => this.moved.keep());
  protected readonly beginAnew = once('begin anew', () => this.moved.beginAnew());
}
