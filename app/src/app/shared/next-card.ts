import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Card, Order, showCard } from '@enumeron/core';
import { CardPad } from './card-pad';
import { EntryField } from './entry-field';
import { cardReader } from './reading';
import { ThumbPad } from './thumb-pad';
import { Viewport } from './viewport';

/** Takes one card after the other, typed or pressed: on a pad of all cards, or under the thumb on a phone. */
@Component({
  selector: 'en-next-card',
  imports: [CardPad, EntryField, ThumbPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="typed">
      <en-entry-field
        class="row"
        label="type it"
        [once]="true"
        [show]="showCard"
        [read]="read()"
        [pad]="phone()"
        (picked)="take($event)"
      />
      <ng-content />
    </div>
    @if (phone()) {
      <div class="thumb">
        <en-thumb-pad
          role="group"
          [attr.aria-label]="label()"
          asks="card"
          [pack]="pack()"
          [largest]="1"
          (cardPicked)="take($event)"
        />
      </div>
    } @else {
      <en-card-pad [label]="label()" [pack]="pack()" [selected]="selected()" (picked)="take($event)" />
    }`,
  styles: `
    .typed {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
      margin-bottom: 0.6rem;
    }
    .thumb {
      position: fixed;
      z-index: 4;
      inset: auto 0 56px;
      padding: 8px 6px 6px;
      border-top: 1px solid var(--line);
      background: var(--paper);
    }
    @media (max-width: 699.98px) {
      :host {
        display: block;
        padding-bottom: 180px;
      }
    }
  `,
})
export class NextCard {
  readonly label = input.required<string>();
  /** The cards that may come. */
  readonly pack = input.required<Order>();
  readonly selected = input<Card>();
  readonly picked = output<Card>();

  protected readonly phone = inject(Viewport).phone;
  protected readonly read = computed(() => cardReader(this.pack()));
  protected readonly showCard = showCard;

  protected take(card: Card | undefined): void {
    if (card !== undefined && this.pack().includes(card)) this.picked.emit(card);
  }
}
