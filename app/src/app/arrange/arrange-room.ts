import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { RouterLink, RouterOutlet } from '@angular/router';
import { OrdersStore } from '../nouns/orders/orders.store';
import { Icons } from '../ui/icons';
import { urlSignal } from '../platform/url';
import { DamagedEntry } from './list/damaged-entry';
import { LongList } from './list/long-list';
import { OrderEntry } from './list/order-entry';

/** The orders that the user has, and the one that is looked at or written. */
@Component({
  selector: 'en-arrange-room',
  imports: [DamagedEntry, LongList, MatIcon, OrderEntry, RouterLink, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './arrange-room.html',
  styleUrl: './arrange-room.scss',
})
export class ArrangeRoom {
  constructor() {
    inject(Icons);
  }

  protected readonly store = inject(OrdersStore);

  private readonly url = urlSignal();
  /** Whether an order is open beside the list; on a phone it takes the list's place. */
  protected readonly open = computed(() => this.url() !== '/arrange');

  protected readonly listed = this.store.list();
}
