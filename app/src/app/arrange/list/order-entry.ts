import { freeSlots } from '@enumeron/core/deck';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { describeOrigin } from '@enumeron/core/arrange';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { PackStore } from '../../nouns/pack/pack.store';
import { Strip } from '../../ui/strip';

/** One order in the list: its name, how it was made, and its strip. */
@Component({
  selector: 'en-order-entry',
  imports: [RouterLink, RouterLinkActive, Strip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<a
    class="order"
    [routerLink]="['/arrange', order().id]"
    routerLinkActive="here"
    [ariaCurrentWhenActive]="true"
    [class.in-use]="meant() && inUse()"
  >
    <span class="name">{{ order().name }}</span>
    <span class="note">{{ note() }}</span>
    <en-strip [cards]="signature()" />
  </a>`,
  styleUrl: './order-entry.scss',
})
export class OrderEntry {
  private readonly pack = inject(PackStore);
  readonly order = input.required<OrderRow>();
  /** Whether no order is open, so that the one in use is meant. */
  readonly meant = input.required<boolean>();

  protected readonly inUse = computed(() => this.order().id === this.pack.pack().orderId);
  protected readonly note = computed(() => {
    const { cards, origin, sample } = this.order();
    const made = origin ? describeOrigin(origin) : sample ? 'sample' : 'own';
    const use = this.inUse() ? ['in use'] : [];
    return [...(sample && origin ? ['sample'] : []), made, ...use, cards.length].join(' · ');
  });
  /** Indifferent cards are pale in a bank's strip. */
  protected readonly signature = computed(() => {
    const { cards, origin } = this.order();
    return origin?.kind === 'bank' ? freeSlots(origin.bank, cards.length) : cards;
  });
}
