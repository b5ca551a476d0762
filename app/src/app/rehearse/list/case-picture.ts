import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** How tall a bar is, and where it begins, by how the case ends: what works is whole, an out is low, a failure is cut. */
const BARS: Readonly<Record<string, string>> = { w: 'v8h-.8', o: 'v3h-.8', f: 'v8h-.8' };
const TOPS: Readonly<Record<string, number>> = { w: 0, o: 5, f: 0 };

/** How the cases of a procedure end, in their order: a bar each. A picture for the eye beside what is said. */
@Component({
  selector: 'en-case-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="'0 0 ' + letters().length + ' 8'" preserveAspectRatio="none">
    @for (bars of paths(); track bars.letter) {
      <path class="{{ bars.letter }}" [attr.d]="bars.path" />
    }
  </svg>`,
  host: { 'aria-hidden': 'true' },
  styles: `
    :host {
      display: block;
      height: 0.9rem;
    }

    svg {
      display: block;
      width: 100%;
      height: 100%;
      shape-rendering: crispEdges;
    }

    .w {
      fill: var(--petrol);
    }

    .o {
      fill: var(--muted);
    }

    .f {
      fill: var(--red);
    }
  `,
})
export class CasePicture {
  /** A letter for each case, or for some of them in a row: `w` works, `o` out, `f` fails. */
  readonly letters = input.required<string>();
  protected readonly paths = computed(() =>
    Object.keys(BARS).map((letter) => ({
      letter,
      path: [...this.letters()]
        .map((each, index) =>
          each === letter ? `M${index.toString()} ${TOPS[letter].toString()}h.8${BARS[letter]}z` : '',
        )
        .join(''),
    })),
  );
}
