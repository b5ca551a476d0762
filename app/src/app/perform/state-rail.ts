import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { suitOf, SUITS } from '@enumeron/core/deck';
import { pictureOfState } from '@enumeron/core/file/perform/picture';
import { NamedHome } from '@enumeron/core/file/perform/say';
import { PackState } from '@enumeron/core/file/perform/state';

/** How wide a bar is, of the room that it has; how far cards that lie wrong stand out; how high a bar is. */
const [WIDE, OUT, HIGH] = [0.78, 0.3, 1];

const UNKNOWN: PackState = { lies: 'lost', faceUp: false, out: [], extra: 0 };

/** How a pack lies, as a small rail: a bar a card, raised where cards lie wrong, with the seam where it is known. */
@Component({
  selector: 'en-state-rail',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { 'aria-hidden': 'true' },
  template: `<svg [attr.viewBox]="box()" preserveAspectRatio="none">
    @for (bars of paths(); track bars.suit) {
      <path class="bars bars-{{ bars.suit }}" [attr.d]="bars.path" />
    }
    @if (seam(); as path) {
      <path class="seam" [attr.d]="path" />
    }
  </svg>`,
  styleUrl: '../ui/charts/bars.scss',
  styles: `
    :host {
      display: block;
      height: 1.6rem;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
      shape-rendering: crispEdges;
    }
    .seam {
      fill: var(--petrol);
    }
  `,
})
export class StateRail {
  readonly state = input.required<PackState>();
  readonly home = input.required<NamedHome>();
  /** Whether the order of the pack is known: else no card is shown. */
  readonly isKnown = input(true);

  private readonly picture = computed(() =>
    pictureOfState(this.isKnown() ? this.state() : UNKNOWN, this.home().cards),
  );
  protected readonly box = computed(
    () =>
      `-0.4 ${(-OUT).toString()} ${(this.picture().cards.length + 0.8).toString()} ${(HIGH + 2 * OUT).toString()}`,
  );
  protected readonly paths = computed(() => {
    const { cards, strayed } = this.picture();
    const raised = new Set(strayed);
    const suits = cards.map((card) => (card === undefined ? undefined : suitOf(card)));
    return [...SUITS, undefined].map((suit) => ({
      suit,
      path: suits
        .map((each, index) =>
          each === suit
            ? `M${index.toString()} ${raised.has(index) ? (-OUT).toString() : '0'}h${WIDE.toString()}v${HIGH.toString()}h-${WIDE.toString()}z`
            : '',
        )
        .join(''),
    }));
  });
  protected readonly seam = computed(() => {
    const { seam } = this.picture();
    return seam === undefined
      ? undefined
      : `M${(seam - 0.36).toString()} ${(-OUT).toString()}h0.5v${(HIGH + 2 * OUT).toString()}h-0.5z`;
  });
}
