import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Card, Order, showCard } from '@enumeron/core/deck';
import { MatButton } from '@angular/material/button';
import { CardPad } from './form/card-pad';
import { EntryField } from './form/entry-field';
import { cardCompleter, cardReader } from './form/reading';
import { ThumbPad } from './form/thumb-pad';
import { Viewport } from '../platform/viewport';

/**
 * Takes one card after the other, typed or pressed: on a pad of all cards, or under the thumb on a phone. What
 * is put into it stands right above the pad, where the eye is.
 */
@Component({
  selector: 'en-next-card',
  imports: [CardPad, EntryField, MatButton, ThumbPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="typed">
      <en-entry-field
        class="row"
        label="type it"
        [once]="true"
        [show]="showCard"
        [read]="read()"
        [complete]="complete()"
        [pad]="phone()"
        (picked)="take($event)"
      />
      @if (progress(); as progress) {
        <span class="progress">{{ progress }}</span>
      }
      @if (backable() && !phone()) {
        <button mat-button (click)="back.emit()">Back one card</button>
      }
    </div>
    <div [class.under-thumb]="phone()">
      <ng-content />
      @if (phone()) {
        <en-thumb-pad
          role="group"
          [attr.aria-label]="label()"
          asks="card"
          [pack]="pack()"
          [largest]="1"
          (cardPicked)="take($event)"
        >
          <button side type="button" class="small" [disabled]="!backable()" (click)="back.emit()">
            back
          </button>
          <span done class="progress done">{{ progress() }}</span>
        </en-thumb-pad>
      } @else {
        <en-card-pad [label]="label()" [pack]="pack()" [selected]="selected()" (picked)="take($event)" />
      }
    </div>`,
  styles: `
    .typed {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
      margin-bottom: 0.6rem;
    }
    .progress {
      color: var(--muted);
      font-family: var(--mono);
    }
    .done {
      grid-column: span 3;
      place-self: center;
    }
    .small {
      color: var(--petrol);
      font-size: 0.85rem;
    }
    @media (max-width: 43.749em) {
      :host {
        display: block;
        padding-bottom: 250px;
      }
    }
  `,
})
export class NextCard {
  readonly label = input.required<string>();
  /** The cards that may come. */
  readonly pack = input.required<Order>();
  readonly selected = input<Card>();
  /** How far one is, in a few words. */
  readonly progress = input('');
  /** Whether there is a card to take back. */
  readonly backable = input(false);
  readonly picked = output<Card>();
  readonly back = output();

  protected readonly phone = inject(Viewport).phone;
  protected readonly read = computed(() => cardReader(this.pack()));
  protected readonly complete = computed(() => cardCompleter(this.pack()));
  protected readonly showCard = showCard;

  protected take(card: Card | undefined): void {
    if (card !== undefined && this.pack().includes(card)) this.picked.emit(card);
  }
}
