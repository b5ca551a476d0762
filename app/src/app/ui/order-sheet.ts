import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Card, speakCard } from '@enumeron/core/deck';
import { faceOf } from './face';

/** One place of an order as it is shown: a card, or what stands there instead of one. */
export interface SheetCell {
  readonly card: Card | undefined;
  readonly text?: string;
  /** Whether something is wrong at this place. */
  readonly odd?: boolean;
}

/** What a cell's element has: all in one, since a sheet is laid out while somebody waits for it. */
const shown = ({ card, text, odd }: SheetCell) => {
  if (card === undefined) return { odd, shown: text, look: 'text' };
  const { rank, symbol, suit } = faceOf(card);
  const look = `card suit-${suit.toString()}`;
  return { odd, shown: `${rank}\n${symbol}`, look, role: 'img', spoken: speakCard(card) };
};

/** An order as a sheet of places, thirteen to a row where there is room. */
@Component({
  selector: 'en-order-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<ol [attr.aria-label]="label()">
    @for (cell of cells(); track $index) {
      <li class="cell" [class.odd]="cell.odd">
        <span [class]="cell.look" [attr.role]="cell.role" [attr.aria-label]="cell.spoken">{{
          cell.shown
        }}</span>
        @if (cell.odd) {
          <span class="spoken">, wrong</span>
        }
      </li>
    }
  </ol>`,
  styles: `
    @use 'cells';

    ol {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(2.375rem, 1fr));
      gap: 4px;
      margin: 0;
      padding: 0;
      list-style: none;
      counter-reset: place;
    }
    /* The place is for the eye; a list tells it by itself. */
    .cell::before {
      counter-increment: place;
      content: counter(place) / '';
      @extend .place;
    }
    /* A block: a grid in a grid is laid out more than once. */
    .cell {
      display: block;
      padding: 0;
      text-align: center;
    }
    .card {
      display: block;
      padding-top: 1rem;
      line-height: 1.15;
      white-space: pre-line;
    }
    .text {
      display: block;
      padding-top: 0.75rem;
      line-height: 2.75rem;
    }
    @media (min-width: 67.5em) {
      ol {
        grid-template-columns: repeat(13, minmax(0, 1fr));
      }
    }
  `,
})
export class OrderSheet {
  readonly label = input.required<string>();
  readonly order = input<readonly Card[]>();
  /** What to show instead of an order. */
  readonly entries = input<readonly SheetCell[]>();
  protected readonly cells = computed(() =>
    (this.entries() ?? this.order()?.map((card) => ({ card })) ?? []).map(shown),
  );
}
