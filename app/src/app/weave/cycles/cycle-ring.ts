import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { pointRadial } from 'd3-shape';

/** How far two places stand apart on their ring, and how far the numbers stand outside of it. */
const [APART, OUTSIDE] = [30, 17];

/** One way round, drawn: the card at each place goes to the next one, clockwise. */
@Component({
  selector: 'en-cycle-ring',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="box()" [style.width.px]="2 * half()" role="img" [attr.aria-label]="says()">
    <circle class="ring" [attr.r]="radius()" />
    @for (place of places(); track place.number) {
      <path class="arrow" d="M-4,-4L4,0L-4,4Z" [attr.transform]="place.arrow" />
      <circle class="dot" r="3" [attr.cx]="place.x" [attr.cy]="place.y" />
      <text [attr.x]="place.textX" [attr.y]="place.textY + 5" text-anchor="middle">{{ place.number }}</text>
    }
  </svg>`,
  styles: `
    :host {
      display: block;
      max-width: 100%;
    }
    svg {
      display: block;
      max-width: 100%;
    }
    .ring {
      fill: none;
      stroke: var(--line);
      stroke-width: 2;
    }
    .dot,
    .arrow {
      fill: var(--petrol);
    }
    text {
      fill: var(--ink);
      font: 600 14px var(--mono);
    }
  `,
})
export class CycleRing {
  readonly cycle = input.required<readonly number[]>();

  protected readonly radius = computed(() => Math.max(24, (this.cycle().length * APART) / (2 * Math.PI)));
  protected readonly half = computed(() => this.radius() + 2 * OUTSIDE);
  protected readonly box = computed(() =>
    [-1, -1, 2, 2].map((times) => (times * this.half()).toString()).join(' '),
  );
  protected readonly places = computed(() => {
    const turn = (2 * Math.PI) / this.cycle().length;
    return this.cycle().map((number, index) => {
      const [x, y] = pointRadial(index * turn, this.radius());
      const [textX, textY] = pointRadial(index * turn, this.radius() + OUTSIDE);
      const [arrowX, arrowY] = pointRadial((index + 0.5) * turn, this.radius());
      const degrees = ((index + 0.5) * 360) / this.cycle().length;
      const arrow = `translate(${arrowX.toString()},${arrowY.toString()}) rotate(${degrees.toString()})`;
      return { number, x, y, textX, textY, arrow };
    });
  });
  protected readonly says = computed(
    () => `${this.cycle().join(' to ')}, and back to ${this.cycle()[0].toString()}`,
  );
}
