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

/** An order as a sheet of places, thirteen to a row where there is room. */
@Component({
  selector: 'en-order-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<ol [attr.aria-label]="label()">
    @for (cell of cells(); track $index) {
      <li class="cell" [class.odd]="cell.odd">
        @if (cell.card !== undefined) {
          @let face = faceOf(cell.card);
          <span class="card suit-{{ face.suit }}" role="img" [attr.aria-label]="speakCard(cell.card)"
            >{{ face.rank }}<br />{{ face.symbol }}</span
          >
        } @else {
          <span class="text">{{ cell.text }}</span>
        }
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
      grid-template-columns: repeat(auto-fill, minmax(38px, 1fr));
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
    .card {
      line-height: 1.15;
      text-align: center;
    }
    @media (min-width: 1080px) {
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
  protected readonly faceOf = faceOf;
  protected readonly speakCard = speakCard;
  protected readonly cells = computed<readonly SheetCell[]>(
    () => this.entries() ?? this.order()?.map((card) => ({ card })) ?? [],
  );
}
