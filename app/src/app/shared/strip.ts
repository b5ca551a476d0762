import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { Card, suitOf } from '@enumeron/core/deck';

/** An order's signature: one thin bar a card, tinted by suit. A picture for the eye beside a name. */
@Component({
  selector: 'en-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@for (card of cards(); track $index) {
    <span class="bar bar-{{ suit(card) }}"></span>
  }`,
  host: { 'aria-hidden': 'true' },
  styleUrl: './bars.scss',
  styles: `
    :host {
      display: flex;
      gap: 1px;
      height: 1.4rem;
    }
  `,
})
export class Strip {
  readonly cards = input.required<readonly (Card | undefined)[]>();
  protected suit(card: Card | undefined): number | undefined {
    return card === undefined ? undefined : suitOf(card);
  }
}
