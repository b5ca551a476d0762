import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { binaryLines, weavePath, workedWeaves } from '@enumeron/core/weave';

/** One card's row of weaves worked out in the head, line by line. */
@Component({
  selector: 'en-head-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (from() !== to()) {
    <details>
      <summary>In the head</summary>
      @if (binary().length > 0) {
        <p>
          From the top to {{ to() }}: halve {{ to() - 1 }}, one less than the place, again and again. What is
          left over, read from the last line up, is the row: 1 in, 0 out.
        </p>
        <table>
          <tbody>
            @for (line of binary(); track $index) {
              <tr>
                <td>{{ line.number }}</td>
                <td>left over {{ line.left }}</td>
                <th scope="row">{{ line.weave }}</th>
              </tr>
            }
          </tbody>
        </table>
      } @else {
        @if (to() === 1) {
          <p>
            To the top there is no such sum. Work backwards: only an in weave brings a card to the top, the
            first of the lower part. Find what brings it there, and what comes before that.
          </p>
        }
        @if (row(); as row) {
          <p>By weaves alone, each followed by its packet:</p>
          <table>
            <tbody>
              @for (line of lines(); track $index) {
                <tr>
                  <th scope="row">{{ line.weave }}</th>
                  <td>{{ line.from }} → {{ line.to }}</td>
                  <td>{{ line.says }}</td>
                </tr>
              }
            </tbody>
          </table>
        } @else {
          <p>Weaves alone do not bring it there.</p>
        }
      }
    </details>
  }`,
  styles: `
    summary {
      min-height: 44px;
      color: var(--petrol);
      line-height: 44px;
      cursor: pointer;
    }
    p {
      margin: 0 0 6px;
    }
    table {
      border-spacing: 0 2px;
      font: 0.9rem var(--mono);
    }
    th,
    td {
      padding-right: 12px;
      text-align: left;
      vertical-align: top;
    }
    td:first-child {
      text-align: right;
    }
  `,
})
export class HeadRow {
  readonly size = input.required<number>();
  /** Places from 1. */
  readonly from = input.required<number>();
  readonly to = input.required<number>();

  protected readonly binary = computed(() => (this.from() === 1 ? binaryLines(this.to()) : []));
  protected readonly row = computed(() => weavePath(this.size(), this.from(), this.to()));
  protected readonly lines = computed(() => workedWeaves(this.size(), this.from(), this.row() ?? []));
}
