import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Card, formatCard } from '@enumeron/core/deck';
import { Scripts } from '../../platform/scripts';
import { secureOnly } from '../../platform/secure-only';
import { CardFace } from '../card-face';
import type { TableKind } from './table-out';

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
      <p class="out">
        <button type="button" class="link" (click)="save('csv')">Save as CSV</button>
        <button type="button" class="link" (click)="save('tsv')">Save as TSV</button>
        @if (canCopy) {
          <button type="button" class="link" (click)="copy()">Copy</button>
        }
        <span role="status">{{ said() }}</span>
      </p>
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

  private readonly scripts = inject(Scripts);
  protected readonly canCopy = secureOnly().clipboard?.writeText !== undefined;
  protected readonly said = signal('');
  protected readonly isOpen = signal(false);
  protected readonly drawn = computed(() => (this.isOpen() ? this.rows()() : []));

  /** The cells as they stand there, cards by their names, under the heads of the columns. */
  private cells(): readonly (readonly string[])[] {
    const rows = this.drawn().map(({ head, card, cells }) =>
      [card === undefined ? head : formatCard(card), ...cells].map(String),
    );
    return this.columns().length > 0 ? [this.columns(), ...rows] : rows;
  }

  protected async save(kind: TableKind): Promise<void> {
    const { saveTable } = await this.out();
    saveTable(this.cells(), this.name(), kind);
  }

  protected async copy(): Promise<void> {
    const { tableText } = await this.out();
    try {
      await secureOnly().clipboard?.writeText?.(tableText(this.cells()));
      this.said.set('Copied.');
    } catch {
      this.said.set('The browser won’t copy it.');
    }
  }

  private out(): Promise<typeof import('./table-out')> {
    return this.scripts.load(() => import('./table-out'));
  }
}
