import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** How wide a card of the picture is. */
const STEP = 5;

/** A small picture of a way in: a row of cards, marked as the rail marks them. */
@Component({
  selector: 'en-way-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="'0 0 ' + cards().length * step + ' 18'" aria-hidden="true">
    @for (mark of cards(); track $index) {
      <rect
        [attr.class]="'card ' + names[mark]"
        [attr.x]="$index * step + 0.75"
        y="3.75"
        width="3.5"
        height="9.5"
      />
      @if (mark === 'b') {
        <rect class="bar" [attr.x]="$index * step" y="15" [attr.width]="step" height="2" />
      }
      @if (mark === 'u') {
        <rect class="up" [attr.x]="$index * step" y="1" [attr.width]="step" height="2" />
      }
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
  protected readonly cards = computed(() => [...this.picture()]);
  protected readonly names: Readonly<Record<string, string>> = {
    s: 'seen',
    w: 'wanted',
    n: 'number',
    m: 'missing',
    u: 'face-up',
  };
}
