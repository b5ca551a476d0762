import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatIcon } from '@angular/material/icon';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { freeSlots } from '@enumeron/core/arrange';
import { Card, sayProblem } from '@enumeron/core/deck';
import { filter, map, startWith } from 'rxjs';
import { OrderRow } from '../data/rows';
import { OrdersStore } from '../data/orders.store';
import { PackStore } from '../pack/pack.store';
import { Strip } from '../shared/strip';
import { originWords } from './origin-words';

/** The orders that the user has, and the one that is looked at or written. */
@Component({
  selector: 'en-arrange-room',
  imports: [MatIcon, RouterLink, RouterLinkActive, RouterOutlet, Strip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './arrange-room.html',
  styleUrl: './arrange-room.scss',
})
export class ArrangeRoom {
  private readonly router = inject(Router);
  protected readonly store = inject(OrdersStore);
  private readonly pack = inject(PackStore);
  protected readonly sayProblem = sayProblem;

  /** Whether an order is open beside the list; on a phone it takes the list's place. */
  protected readonly open = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      startWith(undefined),
      map(() => this.router.url !== '/arrange'),
    ),
    { initialValue: false },
  );

  protected readonly inUse = computed(() => this.pack.pack().orderId);

  protected note(order: OrderRow): string {
    const made = order.origin ? originWords(order.origin) : order.sample ? 'sample' : 'own';
    const use = order.id === this.inUse() ? ['in use'] : [];
    return [...(order.sample && order.origin ? ['sample'] : []), made, ...use, order.cards.length].join(
      ' · ',
    );
  }

  /** Indifferent cards are pale in a bank's strip. */
  protected signature({ cards, origin }: OrderRow): readonly (Card | undefined)[] {
    return origin?.kind === 'bank' ? freeSlots(origin.bank, cards.length) : cards;
  }
}
