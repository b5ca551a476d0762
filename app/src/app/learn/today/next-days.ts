import { CountPipe } from '../../ui/count-pipe';
import { DatePipe, formatDate } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, LOCALE_ID } from '@angular/core';
import { DAY, forecastOf } from '@enumeron/core/learn';
import { scaleBand, scaleLinear } from 'd3-scale';
import { AsTable, TableRow } from '../../ui/charts/as-table';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { LearnStore } from '../../nouns/learning/learn.store';

/** So many days are drawn; the schedule is run on beyond them, to see when all is held. */
const [DRAWN, DAYS, RUNS, SEED] = [30, 120, 12, 11];
const [WIDTH, HEIGHT] = [300, 70];

/** What comes on the next days at this pace, and when the whole order will be held: the schedule run forward. */
@Component({
  selector: 'en-next-days',
  imports: [AsTable, CountPipe, DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>The next 30 days</h3>
    @if (forecast(); as found) {
      <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" preserveAspectRatio="none" aria-hidden="true">
        @for (bar of bars(); track bar.day) {
          <rect
            [class.today]="bar.day === 0"
            [attr.x]="bar.x"
            [attr.y]="bar.y"
            [attr.width]="bar.width"
            [attr.height]="bar.height"
          />
        }
      </svg>
      <p>
        Up to {{ most() | enCount: 'answer' }} a day.
        @if (found.known; as known) {
          At this pace you’ll know it all between {{ dateAt(known.low) | date: 'd MMMM' }} and
          {{ dateAt(known.high) | date: 'd MMMM' }}.
        } @else {
          At this pace you won’t know all of it within {{ days | enCount: 'day' }}.
        }
      </p>
      <en-as-table name="The next days" [columns]="['Day', 'Answers', 'From, to']" [rows]="rows" />
    } @else {
      <p>
        {{ failed() ? 'Part of Enumeron didn’t load. Reload the page.' : 'Running the schedule forward …' }}
      </p>
    }`,
  styleUrl: '../../ui/charts/chart.scss',
  styles: `
    svg {
      max-width: none;
      height: 76px;
    }
    rect {
      fill: var(--petrol);
      opacity: 0.75;
    }
    .today {
      fill: var(--gold-line);
      opacity: 1;
    }
    p {
      min-height: 3em;
      margin: 0.4rem 0;
      color: var(--muted);
    }
  `,
})
export class NextDays {
  private readonly store = inject(LearnStore);
  private readonly locale = inject(LOCALE_ID);
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly days = DAYS;

  private readonly job = jobView('forecast', () => this.store.forecastArgs(DAYS, RUNS, SEED));
  protected readonly failed = computed(() => this.job()?.kind === 'failed');
  protected readonly forecast = computed(() => {
    const found = answerOf(this.job());
    return found && forecastOf(found, DAYS);
  });
  protected readonly most = computed(() =>
    Math.max(0, ...(this.forecast()?.answers ?? []).slice(0, DRAWN).map(({ high }) => high)),
  );
  protected readonly bars = computed(() => {
    const bands = (this.forecast()?.answers ?? []).slice(0, DRAWN);
    const x = scaleBand<number>()
      .domain([...bands.keys()])
      .range([0, WIDTH])
      .padding(0.18);
    const y = scaleLinear()
      .domain([0, Math.max(1, this.most())])
      .range([HEIGHT, 2]);
    return bands.map((band, day) => ({
      ...{ day, band, x: x(day) ?? 0, width: x.bandwidth() },
      ...{ y: y(band.middle), height: HEIGHT - y(band.middle) },
    }));
  });

  protected readonly rows = (): readonly TableRow[] =>
    this.bars().map(({ day, band: { low, middle, high } }) => ({
      head: formatDate(this.dateAt(day), 'd MMM', this.locale),
      cells: [middle, `${low.toString()} to ${high.toString()}`],
    }));

  protected dateAt(day: number): number {
    return this.store.dayBegan() + day * DAY + DAY / 2;
  }
}
