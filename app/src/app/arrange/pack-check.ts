import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Card, checkPack, mod, showCard } from '@enumeron/core';
import { CardPad } from '../shared/card-pad';
import { CardText } from '../shared/card-text';
import { EntryField } from '../shared/entry-field';
import { OrderSheet } from '../shared/order-sheet';
import { cardReader } from '../shared/reading';
import { ThumbPad } from '../shared/thumb-pad';
import { Viewport } from '../shared/viewport';

/** The pack as it is, told card by card from the top, against the order that it should be in. */
@Component({
  selector: 'en-pack-check',
  imports: [CardPad, CardText, EntryField, MatButton, OrderSheet, ThumbPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pack-check.html',
  styleUrl: './pack-check.scss',
})
export class PackCheck {
  readonly order = input.required<readonly Card[]>();
  protected readonly phone = inject(Viewport).phone;

  protected readonly told = linkedSignal<readonly Card[], readonly Card[]>({
    source: this.order,
    computation: () => [],
  });
  protected readonly check = computed(() => checkPack(this.order(), this.told()));
  protected readonly cells = computed(() =>
    this.told().map((card, index) => ({ card, odd: this.check().odd.includes(index + 1) })),
  );
  protected readonly read = computed(() => cardReader(this.order()));
  protected readonly showCard = showCard;

  /** The card that would come next if the pack were right. */
  protected readonly expected = computed(() => {
    const order = this.order();
    const last = this.told().at(-1);
    return last === undefined ? order[0] : order[mod(order.indexOf(last) + 1, order.length)];
  });

  protected tell(card: Card | undefined): void {
    if (card !== undefined) this.told.update((told) => [...told, card]);
  }

  protected back(): void {
    this.told.update((told) => told.slice(0, -1));
  }
}
