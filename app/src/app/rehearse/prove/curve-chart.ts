import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ChanceCurve } from '../../ui/charts/chance-curve';
import { jobView } from '../../platform/workers/job-view';
import { Desk } from '../desk/desk.store';

/** So far to either side of the given as it is. */
const AROUND = 12;

/** How the chance that it works moves as one of the givens changes. */
@Component({
  selector: 'en-curve-chart',
  imports: [ChanceCurve],
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
    @if (points(); as points) {
      <en-chance-curve
        [by]="given()"
        what="How often it works"
        [points]="points"
        [here]="now()"
        (picked)="use($event)"
      />
    } @else {
      <p class="note">Weighing it for each number …</p>
    }`,
  styleUrl: '../../ui/charts/chart.scss',
})
export class CurveChart {
  readonly givens = input.required<readonly string[]>();

  private readonly desk = inject(Desk);
  protected readonly chosen = signal<string | undefined>(undefined);
  protected readonly given = computed(
    () => this.givens().find((name) => name === this.chosen()) ?? this.givens()[0],
  );

  private readonly job = jobView('curve', () => {
    const [procedure, given] = [this.desk.settled(), this.given()];
    const now = procedure?.givens?.[given];
    if (!procedure || now === undefined) return undefined;
    return { procedure, given, from: Math.max(0, now - AROUND), to: now + AROUND };
  });
  /** The number for which it was weighed as it is. */
  protected readonly now = computed(() => this.job()?.asked.procedure.givens?.[this.given()]);
  protected readonly points = computed(() => {
    const view = this.job();
    if (!view || view.kind === 'failed') return undefined;
    const found = (view.kind === 'ended' ? view.result : view.progress).flatMap(({ value, chances }) =>
      chances ? [{ value, chance: chances.held }] : [],
    );
    return found.length < 2 ? undefined : found;
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
