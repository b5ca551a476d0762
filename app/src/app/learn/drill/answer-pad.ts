import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Card, Order } from '@enumeron/core/deck';
import { AnswerKind } from '@enumeron/core/learn';
import { CardPad } from '../../ui/form/card-pad';
import { ThumbPad } from '../../ui/form/thumb-pad';
import { Viewport } from '../../platform/viewport';

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const;

/** The keys of a pad of three columns, but for those that delete and finish; none where cards are asked for. */
const KEYS: Readonly<Partial<Record<AnswerKind, readonly string[]>>> = {
  number: [...DIGITS, '0'],
  off: [...DIGITS, '-', '0', '+'],
  weaves: ['i', 'o'],
};

/** What keys say that are no digits. */
const WORDS: Readonly<Record<string, string>> = { '-': 'too high', '+': 'too deep', i: 'in', o: 'out' };

/** What an item is answered with by thumb or pointer: digits, or cards. */
@Component({
  selector: 'en-answer-pad',
  imports: [CardPad, ThumbPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<!-- A button that is pressed does not take the keys: Enter would press it again. -->
    <div class="pad" (pointerdown)="touched.emit($event)" (mousedown)="$event.preventDefault()">
      @if (keys(); as rows) {
        <div
          class="numbers"
          [class.plain]="asks() === 'number'"
          role="group"
          [attr.aria-label]="asks() === 'weaves' ? 'Weaves' : 'Number'"
        >
          @for (each of rows; track each) {
            <button type="button" (click)="key.emit({ key: each, event: $event })">
              {{ words[each] || each }}
            </button>
          }
          <button type="button" class="small delete" (click)="key.emit({ key: 'Backspace', event: $event })">
            {{ empty() ? 'take back' : 'delete' }}
          </button>
          <button type="button" class="small done" (click)="key.emit({ key: 'Enter', event: $event })">
            done
          </button>
        </div>
      } @else if (phone()) {
        <en-thumb-pad
          role="group"
          aria-label="Card"
          asks="card"
          [pack]="order()"
          [largest]="order().length"
          (cardPicked)="picked.emit($event)"
        >
          <button side type="button" class="small" (click)="takenBack.emit()">back</button>
        </en-thumb-pad>
      } @else {
        <en-card-pad label="Card" [pack]="order()" (picked)="picked.emit($event)" />
      }
    </div>`,
  styles: `
    .numbers {
      display: grid;
      grid-template-columns: repeat(3, 1fr);
      gap: 6px;
      max-width: 24rem;
      margin: 0 auto;

      button {
        min-height: 52px;
        border: 1px solid var(--line);
        border-radius: 5px;
        background: var(--sheet);
        color: var(--ink);
        font: 700 1.2rem var(--mono);
        touch-action: manipulation;
        cursor: pointer;

        &:hover {
          border-color: var(--petrol);
        }
      }

      /* The nought stands in the middle of the last row. */
      &.plain .delete {
        grid-area: 4 / 1;
      }

      &.plain button:nth-child(10) {
        grid-area: 4 / 2;
      }

      &.plain .done {
        grid-area: 4 / 3;
      }

      .small {
        color: var(--petrol);
        font-size: 0.95rem;
      }
    }
  `,
})
export class AnswerPad {
  readonly asks = input.required<AnswerKind>();
  readonly order = input.required<Order>();
  /** Whether nothing is typed: then there is an answer to take back instead of a digit. */
  readonly empty = input.required<boolean>();
  /** A finger or pointer comes down on the pad. */
  readonly touched = output<PointerEvent>();
  /** A key of the number pad, as a keyboard event names it. */
  readonly key = output<{ readonly key: string; readonly event: Event }>();
  readonly picked = output<Card>();
  readonly takenBack = output();

  protected readonly phone = inject(Viewport).phone;
  protected readonly keys = computed(() => KEYS[this.asks()]);
  protected readonly words = WORDS;
}
