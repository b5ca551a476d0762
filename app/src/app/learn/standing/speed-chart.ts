import { formatDate } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, LOCALE_ID } from '@angular/core';
import { DAY, daySpeeds, Attempt, speedBins } from '@enumeron/core/learn';
import { scaleBand, scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Clock } from '../../platform/clock';
import { AsTable, TableRow } from '../../ui/charts/as-table';

const [WIDTH, HEIGHT, LEFT, BELOW] = [520, 120, 34, 18];

/** The last so many days of practice are drawn. */
const DAYS = 40;

/** How long right answers take: how many took how long, and the median of each day. */
@Component({
  selector: 'en-speed-chart',
  imports: [AsTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './speed-chart.html',
  styleUrl: '../../ui/charts/chart.scss',
})
export class SpeedChart {
  readonly answers = input.required<readonly Attempt[]>();
  /** In milliseconds. */
  readonly fluent = input.required<number>();

  private readonly clock = inject(Clock);
  private readonly locale = inject(LOCALE_ID);
  protected readonly box = `0 0 ${WIDTH.toString()} ${(HEIGHT + BELOW).toString()}`;
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly left = LEFT;

  protected readonly bins = computed(() => speedBins(this.answers()));
  private readonly x = scaleLinear().domain([0, 5000]).range([LEFT, WIDTH]);
  protected readonly bars = computed(() => {
    const bins = this.bins();
    const y = scaleLinear()
      .domain([0, Math.max(1, ...bins.map(({ count }) => count))])
      .range([HEIGHT, 4]);
    return bins.map(({ from, count }) => ({
      ...{ x: this.x(from) + 1, width: this.x(from + 250) - this.x(from) - 2 },
      ...{ y: y(count), height: HEIGHT - y(count) },
    }));
  });
  protected readonly ticks = [0, 1000, 2000, 3000, 4000, 5000].map((ms) => ({
    x: this.x(ms),
    label: ms === 5000 ? '5 s' : (ms / 1000).toString(),
  }));
  protected readonly fluentAt = computed(() => this.x(Math.min(5000, this.fluent())));
  protected readonly within = computed(() => {
    const times = this.bins().reduce((sum, { count }) => sum + count, 0);
    const fast = this.answers().filter(
      ({ right, ms, hinted, interrupted }) => right && !hinted && !interrupted && ms <= this.fluent(),
    ).length;
    return times === 0 ? undefined : Math.round((fast / times) * 100);
  });

  protected readonly days = computed(() => daySpeeds(this.answers(), this.clock.offset()).slice(-DAYS));
  protected readonly course = computed(() => {
    const days = this.days();
    const most = Math.max(2000, this.fluent(), ...days.map(({ median }) => median));
    const y = scaleLinear().domain([0, most]).range([HEIGHT, 6]);
    const x = scaleBand<number>()
      .domain(days.map(({ day }) => day))
      .range([LEFT, WIDTH]);
    const points = days.map(({ day, median }) => ({
      x: (x(day) ?? 0) + x.bandwidth() / 2,
      y: y(median),
    }));
    return {
      points,
      path: line<{ x: number; y: number }>(
        ({ x: at }) => at,
        ({ y: at }) => at,
      )(points),
      fluent: y(this.fluent()),
      ticks: y.ticks(4).map((ms) => ({ y: y(ms), label: (ms / 1000).toString() })),
    };
  });

  protected readonly binRows = (): readonly TableRow[] => {
    const bins = this.bins();
    return bins.map(({ from, to, count }, index) => ({
      head: `${seconds(from)} ${index === bins.length - 1 ? 'and more' : `to ${seconds(to)}`}`,
      cells: [count],
    }));
  };
  protected readonly dayRows = (): readonly TableRow[] =>
    this.days().map(({ day, median, answers }) => ({
      head: formatDate(this.dateOf(day), 'd MMM', this.locale),
      cells: [seconds(median), answers],
    }));

  /** A moment in a day of practice, for its date. */
  protected seconds = seconds;

  private dateOf(day: number): number {
    return day * DAY + DAY / 2 - this.clock.offset() * 60_000;
  }
}

const seconds = (ms: number): string => (ms / 1000).toFixed(2);
