import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { checkPack, expectedNext } from '@enumeron/core/arrange';
import { Card, numberOrder, showCard } from '@enumeron/core/deck';
import { CardText } from '../../ui/card-text';
import { NextCard } from '../../ui/next-card';
import { OrderSheet } from '../../ui/order-sheet';
import { GlimpseCheck } from './glimpse-check';
import { Choice } from '../../ui/choice';

/** The pack as it is, told card by card from the top, against the order that it should be in. */
@Component({
  selector: 'en-pack-check',
  imports: [Choice, CardText, GlimpseCheck, MatButton, NextCard, OrderSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pack-check.html',
  styleUrl: './pack-check.scss',
})
export class PackCheck {
  readonly order = input.required<readonly Card[]>();

  protected readonly checkWords = (byGlimpses: boolean): string =>
    byGlimpses ? 'A few glimpses' : 'Card by card';
  protected readonly byGlimpses = signal(false);
  protected readonly told = linkedSignal<readonly Card[], readonly Card[]>({
    source: this.order,
    computation: () => [],
  });
  /** Whatever may turn up: a card that does not belong is odd, and told. */
  protected readonly anyCard = computed(() => [...new Set([...numberOrder(), ...this.order()])]);
  protected readonly check = computed(() => checkPack(this.order(), this.told()));
  protected readonly cells = computed(() =>
    this.told().map((card, index) => ({ card, odd: this.check().odd.includes(index + 1) })),
  );
  protected readonly showCard = showCard;

  /** The card that would come next if the pack were right. */
  protected readonly expected = computed(() => expectedNext(this.order(), this.told()));

  protected tell(card: Card): void {
    this.told.update((told) => [...told, card]);
  }

  protected back(): void {
    this.told.update((told) => told.slice(0, -1));
  }
}
