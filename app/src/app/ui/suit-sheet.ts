import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Card, speakCard } from '@enumeron/core/deck';
import { faceOf } from './face';

/** A card on the sheet, and what is told of it. */
export interface SuitCell {
  readonly card: Card;
  /** How long its bar is, 0 to 1. */
  readonly part: number;
  /** A figure, or a dot while there is none. */
  readonly text: string;
  /** What went wrong, where something did. */
  readonly wrong?: string;
  readonly framed?: boolean;
  /** What is told, as it is spoken after the card's name. */
  readonly spoken: string;
}

/** What a cell's elements have: as few as can be, since all of them are laid out while somebody waits for the room. */
const shown = (cell: SuitCell) => {
  const { rank, symbol, suit } = faceOf(cell.card);
  return {
    ...cell,
    face: `${rank}${symbol}`,
    look: `card suit-${suit.toString()}`,
    spoken: `${speakCard(cell.card)}, ${cell.spoken}`,
  };
};

/** Cards in rows by suit, each with a bar and a figure. */
@Component({
  selector: 'en-suit-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@for (row of shown(); track $index) {
    <ul>
      @for (cell of row; track cell.card) {
        <li [style.--part]="cell.part" [class.framed]="cell.framed">
          <span [class]="cell.look" role="img" [attr.aria-label]="cell.spoken">{{ cell.face }}</span>
          <span class="text" aria-hidden="true">{{ cell.text }}</span>
          @if (cell.wrong) {
            <span class="text wrong" aria-hidden="true">{{ cell.wrong }}</span>
          }
        </li>
      }
    </ul>
  }`,
  styleUrl: './suit-sheet.scss',
})
export class SuitSheet {
  readonly rows = input.required<readonly (readonly SuitCell[])[]>();
  protected readonly shown = computed(() => this.rows().map((row) => row.map(shown)));
}
