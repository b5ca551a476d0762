import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { SumLine } from '@enumeron/core/reckon';
import { CardText } from './card-text';

/** A sum as one does it in the head: amounts under each other, each with what it stands for. */
@Component({
  selector: 'en-hand-sum',
  imports: [CardText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<ol>
    @for (line of lines(); track $index) {
      <li [class.result]="line.role === 'result'">
        <span class="amount">{{ write(line) }}</span>
        <en-card-text [text]="line.words" />
      </li>
    }
  </ol>`,
  styles: `
    ol {
      display: grid;
      grid-template-columns: auto 1fr;
      column-gap: 0.6rem;
      margin: 0;
      padding: 0;
      list-style: none;
      font-family: var(--mono);
      line-height: 1.65;
    }
    li {
      display: grid;
      grid-template-columns: subgrid;
      grid-column: 1 / -1;
      color: var(--muted);
    }
    .amount {
      text-align: right;
      font-weight: 700;
      color: var(--ink);
    }
    .result {
      border-top: 1px solid var(--line);
      color: var(--ink);
    }
  `,
})
export class HandSum {
  readonly lines = input.required<readonly SumLine[]>();

  /** A minus sign of a digit's width; only what is added has a plus. */
  protected write({ amount, role }: SumLine): string {
    const sign = amount < 0 ? '−' : role === 'add' ? '+' : '';
    return sign + Math.abs(amount).toString();
  }
}
