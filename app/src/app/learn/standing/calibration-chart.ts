import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { calibration, Attempt } from '@enumeron/core/learn';
import { sayShare } from '@enumeron/core/file/odds/sayShare';
import { scaleLinear } from 'd3-scale';
import { AsTable, TableRow } from '../../ui/charts/as-table';

const [SIZE, LEFT, BELOW] = [220, 34, 18];

/** How often the schedule expected right, and how often it was right. */
@Component({
  selector: 'en-calibration-chart',
  imports: [AsTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>Is the schedule right about you?</h3>
    @if (shown().length === 0) {
      <p class="note">Nothing you knew has come back yet.</p>
    } @else {
      <p class="note">
        Across: how often it expected you to be right. Up: how often you were, with its 95 % interval. On the
        dashed line the two agree.
      </p>
      <svg class="square" [attr.viewBox]="box" aria-hidden="true">
        @for (tick of ticks; track tick.percent) {
          <line class="axis" [attr.x1]="left" [attr.x2]="size" [attr.y1]="tick.y" [attr.y2]="tick.y" />
          <text x="0" [attr.y]="tick.y + 4">{{ tick.percent }}</text>
          <text [attr.x]="tick.x" [attr.y]="size + 14" text-anchor="middle">{{ tick.percent }}</text>
        }
        <line class="wanted" [attr.x1]="left" [attr.y1]="size" [attr.x2]="size" y2="6" />
        @for (dot of dots(); track dot.x) {
          <line class="line" [attr.x1]="dot.x" [attr.x2]="dot.x" [attr.y1]="dot.low" [attr.y2]="dot.high" />
          <circle class="dot" [attr.cx]="dot.x" [attr.cy]="dot.y" r="4" />
        }
      </svg>
      <en-as-table
        name="What was expected and what came"
        [columns]="['Expected', 'Right', 'Interval', 'Answers']"
        [rows]="rows"
      />
    }`,
  styleUrl: '../../ui/charts/chart.scss',
  styles: `
    .square {
      max-width: 20rem;
    }
  `,
})
export class CalibrationChart {
  readonly answers = input.required<readonly Attempt[]>();

  protected readonly size = SIZE;
  protected readonly left = LEFT;
  protected readonly box = `0 0 ${SIZE.toString()} ${(SIZE + BELOW).toString()}`;
  private readonly x = scaleLinear().range([LEFT, SIZE]);
  private readonly y = scaleLinear().range([SIZE, 6]);
  protected readonly ticks = [0, 0.25, 0.5, 0.75, 1].map((share) => ({
    ...{ percent: Math.round(share * 100), x: this.x(share), y: this.y(share) },
  }));

  protected readonly shown = computed(() =>
    calibration(this.answers()).filter(({ right }) => right.tries > 0),
  );
  protected readonly dots = computed(() =>
    this.shown().map(({ expected, right }) => ({
      ...{ x: this.x(expected), y: this.y(right.share), low: this.y(right.low), high: this.y(right.high) },
    })),
  );

  protected readonly rows = (): readonly TableRow[] =>
    this.shown().map(({ expected, right: { share, low, high, tries } }) => ({
      head: percent(expected),
      cells: [percent(share), `${percent(low)} to ${percent(high)}`, tries],
    }));
}

const percent = (share: number): string => sayShare(share, 0);
