import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { showCard, suitOf } from '@enumeron/core/deck';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { placeAngle, pointAt } from '../../ui/ring.geometry';
import { OrderSheet } from '../../ui/order-sheet';
import { Strip } from '../../ui/strip';
import { titled } from '../../ui/titled';

/** An order on one page of paper: as a strip, as a table and as a ring. */
@Component({
  selector: 'en-crib',
  imports: [MatButton, OrderSheet, RouterLink, Strip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './crib.html',
  styleUrl: './crib.scss',
})
export class Crib {
  private readonly store = inject(OrdersStore);
  readonly id = input.required<string>();
  protected readonly order = computed(() => this.store.find(this.id()));

  constructor() {
    titled('Arrange', () => `Crib · ${this.order()?.name ?? ''}`);
  }

  /** Every card round the ring: the card outside, its stack number inside, every fifth set off. */
  protected readonly ring = computed(() => {
    const cards = this.order()?.cards ?? [];
    return cards.map((card, index) => {
      const angle = placeAngle(index + 1, cards.length);
      return {
        name: showCard(card),
        suit: suitOf(card),
        number: index + 1,
        fifth: (index + 1) % 5 === 0 || index === 0,
        outer: pointAt(angle, 138),
        inner: pointAt(angle, 114),
      };
    });
  });

  protected print(): void {
    window.print();
  }
}
