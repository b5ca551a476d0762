import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Fit } from '@enumeron/core/file/record/fitChoice';
import { bandOf } from '@enumeron/core/file/record/within';
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import { Viewport } from '../../platform/viewport';
import { AsTable, TableRow } from '../../ui/charts/as-table';

/** How wide it is drawn, also on a phone: what stands in it keeps its size. */
const [WIDTH, PHONE_WIDTH, HEIGHT, BELOW] = [720, 360, 210, 22];
/** More values than these have no ticks of their own. */
const FEW = 12;

/** A chance as a table tells it, in 100. */
const told = (chance: number): string => (100 * chance).toFixed(1);

/** What was chosen, value by value, with what was stated and the fit with its band. */
@Component({
  selector: 'en-choices-chart',
  imports: [AsTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './choices-chart.html',
  styleUrls: ['../../ui/charts/chart.scss', './choices-chart.scss'],
})
export class ChoicesChart {
  readonly fit = input.required<Fit>();
  /** The stated chance of each value. */
  readonly before = input.required<readonly number[]>();
  /** What the values are called, where they are ways. */
  readonly ways = input.required<readonly string[]>();
  readonly name = input.required<string>();
  /** Whether a likelihood was stated; otherwise all is as likely. */
  readonly isStated = input.required<boolean>();

  private readonly phone = inject(Viewport).phone;
  protected readonly width = computed(() => (this.phone() ? PHONE_WIDTH : WIDTH));
  protected readonly box = computed(
    () => `0 -6 ${this.width().toString()} ${(HEIGHT + BELOW + 6).toString()}`,
  );
  protected readonly height = HEIGHT;

  /** Each value with its chances; between what the fit’s lies nine times in ten. */
  private readonly values = computed(() => {
    const { from, chances, counts, n } = this.fit();
    const before = this.before();
    return bandOf({ chances, n }).map(({ share, low, high }, index) => ({
      ...{ value: from + index, chance: share, low, high, stated: before[index] ?? 0 },
      ...{ count: counts[index], seen: n > 0 ? counts[index] / n : 0 },
    }));
  });
  private readonly x = computed(() => {
    const { from, chances } = this.fit();
    return scaleLinear()
      .domain([from - 0.5, from + chances.length - 0.5])
      .range([0, this.width()]);
  });
  private readonly y = computed(() => {
    const most = Math.max(0.01, ...this.values().flatMap(({ seen, high, stated }) => [seen, high, stated]));
    return scaleLinear().domain([0, most]).range([HEIGHT, 0]);
  });
  protected readonly drawn = computed(() => {
    const [x, y, values] = [this.x(), this.y(), this.values()];
    const wide = Math.max(1, (x(1) - x(0)) * 0.72);
    type Value = (typeof values)[number];
    const at = ({ value }: Value): number => x(value);
    return {
      bars: values
        .filter(({ count }) => count > 0)
        .map(({ value, seen }) => ({
          x: x(value) - wide / 2,
          width: wide,
          y: y(seen),
          height: HEIGHT - y(seen),
        })),
      band: area<Value>(
        at,
        ({ low }) => y(low),
        ({ high }) => y(high),
      ).curve(curveMonotoneX)([...values]),
      fitted: line<Value>(at, ({ chance }) => y(chance)).curve(curveMonotoneX)([...values]),
      stated: line<Value>(at, ({ stated }) => y(stated)).curve(curveMonotoneX)([...values]),
      // Of two or three values no line says anything: each has its marks.
      marks:
        values.length <= FEW
          ? values.map(({ value, chance, low, high, stated }) => ({
              ...{ x: x(value), chance: y(chance), low: y(low), high: y(high), stated: y(stated) },
              half: Math.min(24, wide / 2),
            }))
          : [],
    };
  });
  protected readonly ticks = computed(() => {
    const [x, values] = [this.x(), this.values()];
    const first = values[0].value;
    const last = values[values.length - 1].value;
    const inner = values.length <= FEW ? values.map(({ value }) => value) : x.ticks(this.phone() ? 4 : 6);
    const all = [...new Set([first, ...inner.filter((each) => each > first + 2 && each < last - 2), last])];
    const shown = values.length <= FEW ? values.map(({ value }) => value) : all;
    return shown.map((value) => ({
      ...{ x: x(value), value },
      label: this.ways()[value - first] ? short(this.ways()[value - first]) : value.toString(),
      anchor:
        value === first && values.length > FEW
          ? 'start'
          : value === last && values.length > FEW
            ? 'end'
            : 'middle',
    }));
  });

  protected readonly rows = (): readonly TableRow[] =>
    this.values().map(({ value, count, chance, low, high, stated }, index) => ({
      head: this.ways().at(index) ?? value,
      cells: [count, told(chance), `${told(low)} to ${told(high)}`, told(stated)],
    }));
}

const short = (text: string): string => (text.length > 30 ? `${text.slice(0, 28)}…` : text);
