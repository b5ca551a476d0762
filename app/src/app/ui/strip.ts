import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Card, suitOf, SUITS } from '@enumeron/core/deck';

/** How wide a bar is, of the room that it has. */
const WIDE = 0.78;

/** The bars of the cards at these indices, as one path: a strip of few elements is drawn at once. */
const pathOf = (indices: readonly number[]): string =>
  indices.map((index) => `M${index} 0h${WIDE}v1h-${WIDE}z`).join('');

/** An order's signature: one thin bar a card, tinted by suit. A picture for the eye beside a name. */
@Component({
  selector: 'en-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="'0 0 ' + cards().length + ' 1'" preserveAspectRatio="none">
    @for (bars of paths(); track bars.suit) {
      <path class="bars bars-{{ bars.suit }}" [attr.d]="bars.path" />
    }
  </svg>`,
  host: { 'aria-hidden': 'true' },
  styleUrl: './charts/bars.scss',
  styles: `
    :host {
      display: block;
      height: 1.4rem;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
      shape-rendering: crispEdges;
    }
  `,
})
export class Strip {
  readonly cards = input.required<readonly (Card | undefined)[]>();
  /** The bars of each suit, and of what has none. */
  protected readonly paths = computed(() => {
    const suits = this.cards().map((card) => (card === undefined ? undefined : suitOf(card)));
    return [...SUITS, undefined].flatMap((suit) => {
      const indices = suits.flatMap((each, index) => (each === suit ? [index] : []));
      return indices.length === 0 ? [] : [{ suit, path: pathOf(indices) }];
    });
  });
}
