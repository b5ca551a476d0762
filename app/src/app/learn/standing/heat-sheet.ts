import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { bySuit, placeOf } from '@enumeron/core/deck';
import { Direction, DIRECTION_WORDS, itemId, ItemPace } from '@enumeron/core/learn';
import { markOnRail } from '../../pack/marks';
import { PackStore } from '../../pack/pack.store';
import { CardFace } from '../../shared/card-face';
import { LearnStore } from '../learn.store';

/** From this many milliseconds on a card is as pale as it gets. */
const SLOWEST = 5000;

/** Every card with how fast it is and how often it went wrong, in one direction; the slow ones are marked on the rail. */
@Component({
  selector: 'en-heat-sheet',
  imports: [CardFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>Card by card</h3>
    <div class="row" role="group" aria-label="Direction">
      @for (each of directions(); track each) {
        <button
          type="button"
          class="choice"
          [attr.aria-pressed]="direction() === each"
          (click)="chosen.set(each)"
        >
          {{ words[each].name }}
        </button>
      }
    </div>
    <p class="note">
      The median of the last five right answers in seconds, and how many of the last ten were wrong (×). The
      longer the bar, the faster; framed is fluent, and what is not is hatched on the rail.
    </p>
    @for (row of rows(); track $index) {
      <ul class="suits">
        @for (each of row; track each.card) {
          <li [style.--part]="each.fast" [class.fluent]="each.pace?.fluent">
            <en-card [card]="each.card" />
            <span class="time">{{ each.time }}</span>
            @if (each.pace?.wrong; as wrong) {
              <span class="wrong">×{{ wrong }}</span>
            }
            <span class="spoken">{{ each.spoken }}</span>
          </li>
        }
      </ul>
    }`,
  styleUrls: ['../../shared/page.scss', '../../shared/chart.scss', './heat-sheet.scss'],
})
export class HeatSheet {
  readonly paces = input.required<ReadonlyMap<string, ItemPace>>();

  private readonly store = inject(LearnStore);
  private readonly pack = inject(PackStore);
  protected readonly words = DIRECTION_WORDS;
  protected readonly chosen = signal<Direction | undefined>(undefined);
  protected readonly directions = computed(() => this.store.settings().directions);
  protected readonly direction = computed(() => {
    const chosen = this.chosen();
    return chosen !== undefined && this.directions().includes(chosen) ? chosen : this.directions()[0];
  });

  protected readonly rows = computed(() =>
    bySuit(this.store.order()).map((row) =>
      row.map((card) => {
        const pace = this.paces().get(itemId({ direction: this.direction(), card }));
        const median = pace?.median;
        return {
          ...{ card, pace, time: median === undefined ? '·' : (median / 1000).toFixed(1) },
          fast: median === undefined ? 0 : 1 - Math.min(1, median / SLOWEST),
          spoken:
            pace === undefined
              ? 'not asked yet'
              : `${median === undefined ? 'no time yet' : 'seconds'}${pace.wrong > 0 ? `, ${pace.wrong.toString()} of the last ten wrong` : ''}`,
        };
      }),
    ),
  );

  constructor() {
    markOnRail(() => {
      const now = this.pack.now();
      return this.rows().flatMap((row) =>
        row.flatMap(({ card, pace }) => {
          const place = placeOf(now, card);
          return pace && !pace.fluent && place !== undefined ? [{ place, mark: 'slow' as const }] : [];
        }),
      );
    });
  }
}
