import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** How wide a card of the picture is. */
const STEP = 5;

/** How each kind of card is drawn, and what stands above or below it. */
const CARD_NAMES: Readonly<Record<string, string>> = {
  s: 'card seen',
  w: 'card wanted',
  n: 'card number',
  m: 'card missing',
};

const at = (index: number, left: number, top: number, width: number, height: number): string =>
  `M${index * STEP + left} ${top}h${width}v${height}h-${width}z`;

/** The picture as a few paths, all cards drawn alike in one. */
const partsOf = (picture: string): readonly { readonly name: string; readonly path: string }[] => {
  const paths = new Map<string, string>();
  const add = (name: string, path: string): unknown => paths.set(name, (paths.get(name) ?? '') + path);
  [...picture].forEach((mark, index) => {
    add(CARD_NAMES[mark] ?? 'card', at(index, 0.75, 3.75, 3.5, 9.5));
    if (mark === 'b') add('bar', at(index, 0, 15, STEP, 2));
    if (mark === 'u') add('up', at(index, 0, 1, STEP, 2));
  });
  return [...paths].map(([name, path]) => ({ name, path }));
};

/** A small picture of a way in: a row of cards, marked as the rail marks them. */
@Component({
  selector: 'en-way-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="'0 0 ' + picture().length * step + ' 18'" aria-hidden="true">
    @for (part of parts(); track part.name) {
      <path [attr.class]="part.name" [attr.d]="part.path" />
    }
  </svg>`,
  styles: `
    svg {
      display: block;
      height: 18px;
    }
    .card {
      fill: var(--paper);
      stroke: var(--muted);
      stroke-width: 0.8;
    }
    .seen {
      stroke: var(--petrol);
      stroke-width: 1.6;
    }
    .wanted {
      fill: var(--gold);
      stroke: var(--gold-line);
    }
    .number {
      fill: var(--ink);
      stroke: var(--ink);
    }
    .missing {
      fill: none;
      stroke-dasharray: 1.6 1.4;
    }
    .bar {
      fill: var(--gold-line);
    }
    .up {
      fill: var(--petrol);
    }
  `,
})
export class WayPicture {
  /** One letter a card, as `Way` says. */
  readonly picture = input.required<string>();
  protected readonly step = STEP;
  protected readonly parts = computed(() => partsOf(this.picture()));
}
