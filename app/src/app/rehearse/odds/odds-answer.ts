import { countOf } from '@enumeron/core/file/deck/countOf';
import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { Values } from '@enumeron/core/form';
import { oddsCurve, OddsQuestion, sayBetween, sayShare, sayTimes } from '@enumeron/core/odds';
import { ChanceCurve } from '../../ui/charts/chance-curve';
import { answerOf, jobView } from '../../platform/workers/job-view';

/** So wide the interval becomes, and so often is tried at most. */
const [WIDTH, TRIES, SEED] = [0.01, 2_000_000, 1];

/** The answer to a question of chance: exact, tried beside it, and as a curve over one of its numbers. */
@Component({
  selector: 'en-odds-answer',
  imports: [ChanceCurve],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './odds-answer.html',
  styleUrls: ['../../ui/page.scss', './odds-answer.scss'],
})
export class OddsAnswer {
  readonly question = input.required<OddsQuestion>();
  /** All its values, which go together. */
  readonly values = input.required<Values>();
  /** Another number for what the curve is drawn over. */
  readonly picked = output<number>();

  private readonly chance = computed(() => this.question().chance(this.values()));
  protected readonly share = computed(() => sayShare(this.chance()));
  protected readonly times = computed(() => sayTimes(this.chance()));
  protected readonly says = computed(() => this.question().says(this.values()));
  protected readonly notes = computed(() => this.question().notes?.(this.values()) ?? []);

  protected readonly curve = computed(() => oddsCurve(this.question().path, this.values()));
  private readonly over = computed(() =>
    this.question().fields.find(({ name }) => name === this.question().over.field),
  );
  protected readonly by = computed(() => this.over()?.label.toLowerCase() ?? '');
  protected readonly here = computed(() => {
    const value = this.values()[this.question().over.field];
    return typeof value === 'number' ? value : undefined;
  });

  /** Another seed tries anew. */
  protected readonly seed = linkedSignal<unknown, number>({ source: this.question, computation: () => SEED });
  /** What it was stopped at: another question goes on. */
  protected readonly stopped = linkedSignal<unknown, boolean>({
    source: this.values,
    computation: () => false,
  });
  private readonly asked = computed(() =>
    this.stopped()
      ? undefined
      : {
          ...{ path: this.question().path, values: this.values() },
          ...{ seed: this.seed(), tries: TRIES, width: WIDTH },
        },
  );
  private readonly job = jobView('try question', this.asked);
  protected readonly ended = computed(() => answerOf(this.job()) !== undefined);
  protected readonly tried = computed(() => {
    const view = this.job();
    if (!view || view.kind === 'failed' || view.asked.path !== this.question().path) return undefined;
    const { low, high, tries } = view.kind === 'ended' ? view.result : view.progress;
    if (tries === 0) return undefined;
    return {
      between: sayBetween(low, high),
      tries: countOf(tries, 'time'),
      isOld: view.asked.values !== this.values(),
      holds: low <= this.chance() && this.chance() <= high,
    };
  });

  protected again(): void {
    this.seed.update((seed) => seed + 1);
  }
}
