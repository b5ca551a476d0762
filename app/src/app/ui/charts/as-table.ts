import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { CardFace } from '../card-face';

/** A row of a picture's table: what it is about, in words or as a card, and what is told of that. */
export interface TableRow {
  readonly head: string | number;
  readonly card?: Card;
  readonly cells: readonly (string | number)[];
  /** Whether it is the row that the picture points at. */
  readonly isHere?: boolean;
}

/** What a picture shows as a table, opened by a press and made only then. */
@Component({
  selector: 'en-as-table',
  imports: [CardFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<details #all (toggle)="isOpen.set(all.open)">
    <summary>As a table</summary>
    @if (isOpen()) {
      <div class="scroll" tabindex="0" role="group" [attr.aria-label]="name()">
        <table>
          @if (columns().length > 0) {
            <thead>
              <tr>
                @for (column of columns(); track $index) {
                  <th scope="col">{{ column }}</th>
                }
              </tr>
            </thead>
          }
          <tbody>
            @for (row of drawn(); track $index) {
              <tr [class.here]="row.isHere">
                <th scope="row">
                  @if (row.card !== undefined) {
                    <en-card [card]="row.card" />
                  } @else {
                    {{ row.head }}
                  }
                </th>
                @for (cell of row.cells; track $index) {
                  <td>{{ cell }}</td>
                }
              </tr>
            }
          </tbody>
        </table>
      </div>
    }
  </details>`,
  styleUrl: './as-table.scss',
})
export class AsTable {
  /** What the table is of, for a screen reader. */
  readonly name = input.required<string>();
  /** The heads of its columns, the first one over the heads of the rows; none where the rows say all. */
  readonly columns = input<readonly string[]>([]);
  /** Makes the rows; asked only while the table is open. */
  readonly rows = input.required<() => readonly TableRow[]>();

  protected readonly isOpen = signal(false);
  protected readonly drawn = computed(() => (this.isOpen() ? this.rows()() : []));
}
