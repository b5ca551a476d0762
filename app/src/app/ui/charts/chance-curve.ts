import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { sayShare } from '@enumeron/core/file/odds/sayShare';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { AsTable, TableRow } from './as-table';

const [WIDTH, HEIGHT, LEFT, BELOW] = [420, 120, 40, 20];
/** The most numbers that stand below a curve. */
const MOST_LABELS = 9;

/** A point of a curve: a number, and the chance with it. */
export interface CurvePoint {
  readonly value: number;
  readonly chance: number;
}

/** How a chance moves with a number, the point chosen, and the same as a table. A point that is pressed is picked. */
@Component({
  selector: 'en-chance-curve',
  imports: [AsTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (drawn(); as drawn) {
    <svg [attr.viewBox]="box" role="img" [attr.aria-label]="drawn.says">
      @for (tick of drawn.ticks; track tick.label) {
        <line class="axis" [attr.x1]="left" [attr.x2]="width" [attr.y1]="tick.y" [attr.y2]="tick.y" />
        <text [attr.x]="left - 6" [attr.y]="tick.y + 4" text-anchor="end">{{ tick.label }}</text>
      }
      <path class="line" [attr.d]="drawn.path" />
      @for (point of drawn.points; track point.value) {
        <circle
          class="dot"
          [class.here]="point.here"
          [attr.cx]="point.x"
          [attr.cy]="point.y"
          [attr.r]="point.here ? 6 : drawn.radius"
          (click)="picked.emit(point.value)"
        />
        @if (point.labelled) {
          <text [attr.x]="point.x" [attr.y]="height + 16" text-anchor="middle">{{ point.value }}</text>
        }
      }
    </svg>
    <en-as-table [name]="what() + ', by ' + by()" [rows]="rows" />
  }`,
  styleUrl: './chart.scss',
  styles: `
    .here {
      fill: var(--gold);
      stroke: var(--gold-line);
    }

    circle {
      cursor: pointer;
    }
  `,
})
export class ChanceCurve {
  /** What changes. */
  readonly by = input.required<string>();
  /** What it is the chance of: `How often it works`. */
  readonly what = input.required<string>();
  readonly points = input.required<readonly CurvePoint[]>();
  /** The number as it is now. */
  readonly here = input<number>();
  readonly picked = output<number>();

  protected readonly box = `0 0 ${WIDTH.toString()} ${(HEIGHT + BELOW).toString()}`;
  protected readonly left = LEFT;
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  protected readonly rows = (): readonly TableRow[] =>
    (this.drawn()?.points ?? []).map(({ value, share, here }) => ({
      ...{ head: `${this.by()} ${value.toString()}`, cells: [share], isHere: here },
    }));

  protected readonly drawn = computed(() => {
    const found = this.points();
    if (found.length < 2) return undefined;
    const x = scaleLinear()
      .domain([found[0].value, found[found.length - 1].value])
      .range([LEFT + 8, WIDTH - 8]);
    const chances = found.map(({ chance }) => chance);
    const y = scaleLinear()
      .domain([Math.min(...chances), Math.max(...chances)])
      .nice(4)
      .range([HEIGHT, 8]);
    const points = found.map(({ value, chance }, index) => ({
      ...{ value, x: x(value), y: y(chance), here: value === this.here() },
      ...{
        share: sayShare(chance),
        labelled: index % Math.ceil(found.length / MOST_LABELS) === 0,
      },
    }));
    const ticks = y.ticks(4);
    const places = ticks.some((tick) => Math.abs(100 * tick - Math.round(100 * tick)) > 1e-6) ? 1 : 0;
    return {
      points,
      radius: found.length > 40 ? 2 : 3,
      path: line<{ x: number; y: number }>(
        ({ x: at }) => at,
        ({ y: at }) => at,
      )(points),
      ticks: ticks.map((tick) => ({ y: y(tick), label: `${(100 * tick).toFixed(places)} %` })),
      says: `${this.what()}, by ${this.by()}: ${points.map(({ value, share }) => `${value.toString()} ${share}`).join(', ')}`,
    };
  });
}
