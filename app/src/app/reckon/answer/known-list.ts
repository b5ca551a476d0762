import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { CardFace } from '../../ui/card-face';
import { CardText } from '../../ui/card-text';

/** One fact that follows: a card with its stack number, or a number, or a few words. */
export interface ShownFact {
  readonly words: string;
  readonly card?: Card;
  readonly value?: number | string;
  readonly stackNumber?: number;
}

/** Facts that follow, one under the other. */
@Component({
  selector: 'en-known-list',
  imports: [CardFace, CardText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<dl class="facts" [class.long]="facts().length > MANY">
    @for (fact of facts(); track $index) {
      <div>
        <dt><en-card-text [text]="fact.words" /></dt>
        <dd>
          @if (fact.card !== undefined) {
            <en-card [card]="fact.card" />
          }
          @if (fact.value !== undefined) {
            <span class="value">{{ fact.value }}</span>
          }
          @if (fact.stackNumber !== undefined) {
            <span class="stack"><span class="spoken">, stack number</span> {{ fact.stackNumber }}</span>
          }
        </dd>
      </div>
    }
  </dl>`,
  styles: `
    .facts {
      margin: 0 0 1.4rem;
    }
    div {
      display: flex;
      justify-content: space-between;
      gap: 0.6rem;
      align-items: baseline;
      padding: 0.32rem 0;
      border-top: 1px solid var(--line);
    }
    dt {
      color: var(--muted);
    }
    dd {
      margin: 0;
      text-align: right;
    }
    .value {
      font: 700 1.1rem var(--mono);
    }
    .long {
      columns: 2;
      column-gap: 20px;
      font-size: 0.9rem;
    }
    .long div {
      break-inside: avoid;
      padding: 0.15rem 0;
    }
    .long .value {
      font-size: 0.9rem;
    }
    .stack {
      display: inline-block;
      min-width: 1.8rem;
      color: var(--petrol);
      font: 0.9rem var(--mono);
      text-align: right;
    }
  `,
})
export class KnownList {
  /** From how many facts on they stand in two columns. */
  protected readonly MANY = 14;
  readonly facts = input.required<readonly ShownFact[]>();
}
