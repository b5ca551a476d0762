import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { Card, cardOf, isJoker, isSecond, Order, RANKS, Suit } from '@enumeron/core';
import { CardFace } from './card-face';
import { RovingGrid } from './roving-grid';

/** Suits in the order of the pad's rows: colours alternate. */
const ROWS: readonly Suit[] = [3, 2, 0, 1];

/** All cards at once, one press a card: for a wide screen. */
@Component({
  selector: 'en-card-pad',
  imports: [CardFace, RovingGrid],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="pad" role="group" [attr.aria-label]="label()" [enRovingGrid]="13">
    @for (card of cards(); track card) {
      <button
        type="button"
        data-cell
        [disabled]="!inPack().has(card)"
        [attr.aria-pressed]="card === selected()"
        (click)="picked.emit(card)"
      >
        <en-card [card]="card" [stacked]="true" />
      </button>
    }
  </div>`,
  styles: `
    .pad {
      display: grid;
      grid-template-columns: repeat(13, minmax(24px, 1fr));
      gap: 3px 2px;
    }
    button {
      min-height: 40px;
      padding: 0;
      border: 1px solid var(--line);
      border-radius: 3px;
      background: var(--paper);
      font-size: 0.82rem;
      cursor: pointer;
    }
    button:hover:not(:disabled) {
      border-color: var(--petrol);
    }
    button:disabled {
      opacity: 0.25;
      cursor: default;
    }
    button[aria-pressed='true'] {
      background: var(--petrol);
      --red: var(--on-petrol);
      --suit-0: var(--on-petrol);
      --suit-1: var(--on-petrol);
      --suit-2: var(--on-petrol);
      --suit-3: var(--on-petrol);
    }
  `,
})
export class CardPad {
  readonly label = input.required<string>();
  readonly pack = input.required<Order>();
  readonly selected = input<Card>();
  readonly picked = output<Card>();
  /** The four suits; then what else the pack may hold: jokers, second copies. */
  protected readonly cards = computed(() => [
    ...ROWS.flatMap((suit) => RANKS.map((rank) => cardOf(rank, suit))),
    ...this.pack().filter((card) => isJoker(card) || isSecond(card)),
  ]);
  protected readonly inPack = computed(() => new Set(this.pack()));
}
