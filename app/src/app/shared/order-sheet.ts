import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { CardFace } from './card-face';

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
  imports: [CardFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<ol [attr.aria-label]="label()">
    @for (cell of cells(); track $index) {
      <li class="cell" [class.odd]="cell.odd">
        <span class="place" aria-hidden="true">{{ $index + 1 }}</span>
        @if (cell.card !== undefined) {
          <en-card [card]="cell.card" [stacked]="true" />
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
  protected readonly cells = computed<readonly SheetCell[]>(
    () => this.entries() ?? this.order()?.map((card) => ({ card })) ?? [],
  );
}
