import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { bySuit, Card, isJoker, isSecond, numberOrder, Order, speakCard } from '@enumeron/core/deck';
import { faceOf } from '../face';
import { RovingGrid } from '../roving-grid';

/** All cards at once, one press a card: for a wide screen. */
@Component({
  selector: 'en-card-pad',
  imports: [RovingGrid],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="pad" role="group" [attr.aria-label]="label()" [enRovingGrid]="13">
    @for (key of keys(); track key.card) {
      <button
        type="button"
        class="card suit-{{ key.face.suit }}"
        data-cell
        [attr.aria-label]="key.name"
        [disabled]="!inPack().has(key.card)"
        [attr.aria-pressed]="key.card === selected()"
        (click)="picked.emit(key.card)"
      >
        <span>{{ key.face.rank }}</span><span>{{ key.face.symbol }}</span>
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
      line-height: 1.15;
      min-height: 40px;
      padding: 0;
      border: 1px solid var(--line);
      border-radius: 3px;
      background: var(--paper);
      font-size: 0.82rem;
      cursor: pointer;
    }
    span {
      display: block;
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
  protected readonly keys = computed(() =>
    bySuit([...numberOrder(), ...this.pack().filter((card) => isJoker(card) || isSecond(card))])
      .flat()
      .map((card) => ({ card, face: faceOf(card), name: speakCard(card) })),
  );
  protected readonly inPack = computed(() => new Set(this.pack()));
}
