import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { SumsStore } from '../../nouns/learning/sums.store';

/** The median time of each kind of sum against the wanted one. */
@Component({
  selector: 'en-sum-times',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>Sums</h3>
    @if (rows().length === 0) {
      <p class="note">No sum was done yet.</p>
    } @else {
      <p class="note">
        The median of your right answers; the dashed line is the wanted time, {{ sums.wanted() / 1000 }} s.
      </p>
      <div class="scroll" tabindex="0" role="region" aria-label="Times of sums">
        <table class="bars">
          <thead class="spoken">
            <tr>
              <th scope="col">Kind</th>
              <th scope="col">Median</th>
              <th scope="col">Answers</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.name) {
              <tr>
                <th scope="row">{{ row.name }}</th>
                <td>{{ row.seconds }} s</td>
                <td class="picture" aria-hidden="true">
                  <span class="time" [style.width.%]="row.part"></span>
                  <span class="limit" [style.left.%]="limit()"></span>
                </td>
                <td>{{ row.answers }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
    }`,
  styleUrl: '../../ui/charts/chart.scss',
  styles: `
    .bars {
      width: 100%;
      font-size: 0.85rem;
      max-width: 40rem;
      border-spacing: 8px 3px;
    }
    th,
    td {
      white-space: nowrap;
    }
    .picture {
      position: relative;
      width: 45%;
    }
    .time {
      display: block;
      height: 12px;
      background: var(--petrol);
    }
    .limit {
      position: absolute;
      top: -3px;
      bottom: -3px;
      border-left: 2px dashed var(--gold-line);
    }
  `,
})
export class SumTimes {
  protected readonly sums = inject(SumsStore);

  private readonly known = computed(() =>
    this.sums
      .standings()
      .flatMap(({ kind, median, answers }) =>
        median === undefined ? [] : [{ name: kind.name, median, answers }],
      ),
  );
  private readonly part = computed(() =>
    scaleLinear()
      .domain([0, Math.max(this.sums.wanted() * 1.25, ...this.known().map(({ median }) => median))])
      .range([0, 100]),
  );
  protected readonly limit = computed(() => this.part()(this.sums.wanted()));
  protected readonly rows = computed(() =>
    this.known().map(({ name, median, answers }) => ({
      ...{ name, answers, part: this.part()(median), seconds: (median / 1000).toFixed(1) },
    })),
  );

  constructor() {
    void this.sums.load();
  }
}
