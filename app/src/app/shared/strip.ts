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
  styles: `
    :host {
      display: flex;
      gap: 1px;
      height: 1.4rem;
    }
    .bar {
      flex: 1 1 0;
      min-width: 0;
      background: var(--strip-pale);
    }
    .bar-0 {
      background: var(--strip-clubs);
    }
    .bar-1 {
      background: var(--strip-diamonds);
    }
    .bar-2 {
      background: var(--strip-hearts);
    }
    .bar-3 {
      background: var(--strip-spades);
    }
  `,
})
export class Strip {
  readonly cards = input.required<readonly (Card | undefined)[]>();
  protected suit(card: Card | undefined): number | undefined {
    return card === undefined ? undefined : suitOf(card);
  }
}
