import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { NamedOften } from '@enumeron/core/file/record/named';
import { Viewport } from '../../platform/viewport';
import { scaleBand, scaleLinear } from 'd3-scale';

/** How wide it is drawn, also on a phone: what stands in it keeps its size. */
const [WIDTH, PHONE_WIDTH, HEIGHT, BELOW] = [720, 360, 110, 20];

/** The numbers in a line, each with how often it was named; a gold cap where that is more than chance. */
@Component({
  selector: 'en-number-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="box()" aria-hidden="true">
    @for (bar of bars(); track bar.value) {
      <rect
        class="bar"
        [attr.x]="bar.x"
        [attr.y]="bar.y"
        [attr.width]="bar.width"
        [attr.height]="bar.height"
      />
      @if (bar.isTold) {
        <rect class="cap" [attr.x]="bar.x - 1" [attr.y]="bar.y - 7" [attr.width]="bar.width + 2" height="6" />
        <text class="told" [attr.x]="bar.middle" [attr.y]="bar.y - 11" text-anchor="middle">
          {{ bar.value }}
        </text>
      }
    }
    <line class="axis" x1="0" [attr.x2]="width()" [attr.y1]="height" [attr.y2]="height" />
    @for (tick of ticks(); track tick.value) {
      <text [attr.x]="tick.x" [attr.y]="height + 15" text-anchor="middle">{{ tick.value }}</text>
    }
  </svg>`,
  styleUrl: '../../ui/charts/chart.scss',
  styles: `
    svg {
      max-width: 46rem;
      margin-top: 18px;
    }
    .cap {
      fill: var(--gold);
      stroke: var(--gold-line);
    }
    .told {
      fill: var(--ink);
      font-size: 13px;
      font-weight: 700;
    }
  `,
})
export class NumberLine {
  readonly found = input.required<readonly NamedOften[]>();
  /** Between what they could choose, both included. */
  readonly least = input.required<number>();
  readonly most = input.required<number>();

  private readonly phone = inject(Viewport).phone;
  protected readonly width = computed(() => (this.phone() ? PHONE_WIDTH : WIDTH));
  protected readonly box = computed(
    () => `0 -24 ${this.width().toString()} ${(HEIGHT + BELOW + 24).toString()}`,
  );
  protected readonly height = HEIGHT;
  private readonly values = computed(() => {
    const [least, most] = [this.least(), this.most()];
    return Array.from({ length: most - least + 1 }, (_, index) => least + index);
  });
  private readonly x = computed(() =>
    scaleBand<number>().domain(this.values()).range([0, this.width()]).paddingInner(0.25),
  );
  protected readonly bars = computed(() => {
    const x = this.x();
    const most = Math.max(1, ...this.found().map(({ count }) => count));
    const y = scaleLinear().domain([0, most]).range([HEIGHT, 0]);
    return this.found().map(({ value, count, isTold }) => ({
      ...{ value, isTold, x: x(value) ?? 0, width: x.bandwidth(), y: y(count), height: HEIGHT - y(count) },
      middle: (x(value) ?? 0) + x.bandwidth() / 2,
    }));
  });
  protected readonly ticks = computed(() => {
    const x = this.x();
    const values = this.values();
    const each = values.length <= 26 ? 1 : this.phone() ? 10 : 5;
    return values
      .filter((value) => value === values[0] || value % each === 0)
      .map((value) => ({ value, x: (x(value) ?? 0) + x.bandwidth() / 2 }));
  });
}
