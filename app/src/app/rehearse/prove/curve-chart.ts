import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { jobView } from '../../workers/job-view';
import { Desk } from '../desk/desk.store';

const [WIDTH, HEIGHT, LEFT, BELOW] = [420, 120, 40, 20];
/** So far to either side of the given as it is. */
const AROUND = 12;

/** How the chance that it works moves as one of the givens changes. */
@Component({
  selector: 'en-curve-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>
      It works, by
      @if (givens().length > 1) {
        <select #which aria-label="The number that changes" (change)="chosen.set(which.value)">
          @for (name of givens(); track name) {
            <option [value]="name" [selected]="name === given()">{{ name }}</option>
          }
        </select>
      } @else {
        {{ given() }}
      }
    </h3>
    @if (drawn(); as drawn) {
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
            [attr.r]="point.here ? 6 : 3"
            (click)="use(point.value)"
          />
          @if (point.labelled) {
            <text [attr.x]="point.x" [attr.y]="height + 16" text-anchor="middle">{{ point.value }}</text>
          }
        }
      </svg>
      <details>
        <summary>As a table</summary>
        <table>
          <tbody>
            @for (point of drawn.points; track point.value) {
              <tr>
                <th scope="row">{{ given() }} {{ point.value }}</th>
                <td>{{ point.share }}</td>
              </tr>
            }
          </tbody>
        </table>
      </details>
    } @else {
      <p class="note">Weighing it for each number …</p>
    }`,
  styleUrl: '../../shared/chart.scss',
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
export class CurveChart {
  readonly givens = input.required<readonly string[]>();

  private readonly desk = inject(Desk);
  protected readonly chosen = signal<string | undefined>(undefined);
  protected readonly given = computed(
    () => this.givens().find((name) => name === this.chosen()) ?? this.givens()[0],
  );
  protected readonly box = `0 0 ${WIDTH.toString()} ${(HEIGHT + BELOW).toString()}`;
  protected readonly left = LEFT;
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  private readonly job = jobView('curve', () => {
    const [procedure, given] = [this.desk.settled(), this.given()];
    const now = procedure?.givens?.[given];
    if (!procedure || now === undefined) return undefined;
    return { procedure, given, from: Math.max(0, now - AROUND), to: now + AROUND };
  });
  protected readonly drawn = computed(() => {
    const [view, given] = [this.job(), this.given()];
    if (!view || view.kind === 'failed') return undefined;
    const found = (view.kind === 'ended' ? view.result : view.progress).flatMap(({ value, chances }) =>
      chances ? [{ value, held: chances.held }] : [],
    );
    if (found.length < 2) return undefined;
    const now = view.asked.procedure.givens?.[given];
    const x = scaleLinear()
      .domain([found[0].value, found[found.length - 1].value])
      .range([LEFT + 8, WIDTH - 8]);
    const y = scaleLinear()
      .domain([Math.min(...found.map(({ held }) => held)), Math.max(...found.map(({ held }) => held))])
      .nice(4)
      .range([HEIGHT, 8]);
    const points = found.map(({ value, held }, index) => ({
      ...{ value, x: x(value), y: y(held), here: value === now },
      ...{ share: `${(100 * held).toFixed(1)} %`, labelled: index % Math.ceil(found.length / 9) === 0 },
    }));
    return {
      points,
      path: line<{ x: number; y: number }>(
        ({ x: at }) => at,
        ({ y: at }) => at,
      )(points),
      ticks: y.ticks(4).map((held) => ({ y: y(held), label: `${Math.round(100 * held).toString()} %` })),
      says: `How often it works, by ${given}: ${points.map(({ value, share }) => `${value.toString()} ${share}`).join(', ')}`,
    };
  });

  /** Takes another number for the set-up. */
  protected use(value: number): void {
    const given = this.given();
    this.desk.change(`change ${given}`, (procedure) => ({
      ...procedure,
      givens: { ...procedure.givens, [given]: value },
    }));
  }
}
