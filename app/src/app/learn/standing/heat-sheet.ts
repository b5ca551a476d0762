import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { bySuit, placeOf } from '@enumeron/core/deck';
import { Direction, DIRECTION_WORDS, itemId, ItemPace } from '@enumeron/core/learn';
import { markOnRail } from '../../nouns/pack/marks';
import { PackStore } from '../../nouns/pack/pack.store';
import { LearnStore } from '../../nouns/learning/learn.store';
import { SuitCell, SuitSheet } from '../../ui/suit-sheet';
import { Choice } from '../../ui/choice';

/** From this many milliseconds on a card is as pale as it gets. */
const SLOWEST = 5000;

/** How fast a card is and how often it went wrong, as its cell shows it. */
const toldOf = (pace: ItemPace | undefined): Omit<SuitCell, 'card'> => {
  if (!pace) return { part: 0, text: '·', spoken: 'not asked yet' };
  const { median, wrong, fluent } = pace;
  const seconds = median === undefined ? undefined : (median / 1000).toFixed(1);
  return {
    part: median === undefined ? 0 : 1 - Math.min(1, median / SLOWEST),
    text: seconds ?? '·',
    wrong: wrong > 0 ? `×${wrong.toString()}` : undefined,
    framed: fluent,
    spoken: [
      seconds === undefined ? 'no time yet' : `${seconds} seconds`,
      ...(wrong > 0 ? [`${wrong.toString()} of the last ten wrong`] : []),
    ].join(', '),
  };
};

/** Every card with how fast it is and how often it went wrong, in one direction; the slow ones are marked on the rail. */
@Component({
  selector: 'en-heat-sheet',
  imports: [Choice, SuitSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>Card by card</h3>
    <en-choice
      class="row"
      name="Direction"
      [options]="directions()"
      [says]="nameOf"
      [value]="direction()"
      (valueChange)="chosen.set($event)"
    />
    <p class="note">
      The median of the last five right answers in seconds, and how many of the last ten were wrong (×). A
      longer bar is faster; framed is fluent. The rail hatches the rest.
    </p>
    <en-suit-sheet [rows]="rows()" />`,
  styleUrls: ['../../ui/page.scss', '../../ui/charts/chart.scss'],
})
export class HeatSheet {
  readonly paces = input.required<ReadonlyMap<string, ItemPace>>();

  private readonly store = inject(LearnStore);
  private readonly pack = inject(PackStore);
  protected readonly nameOf = (direction: Direction): string => DIRECTION_WORDS[direction].name;
  protected readonly chosen = signal<Direction | undefined>(undefined);
  protected readonly directions = computed(() => this.store.settings().directions);
  protected readonly direction = computed(() => {
    const chosen = this.chosen();
    return chosen !== undefined && this.directions().includes(chosen) ? chosen : this.directions()[0];
  });

  private readonly cards = computed(() =>
    bySuit(this.store.order()).map((row) =>
      row.map((card) => ({ card, pace: this.paces().get(itemId({ direction: this.direction(), card })) })),
    ),
  );
  protected readonly rows = computed(() =>
    this.cards().map((row) => row.map(({ card, pace }): SuitCell => ({ card, ...toldOf(pace) }))),
  );

  constructor() {
    markOnRail(() => {
      const now = this.pack.now();
      return this.cards().flatMap((row) =>
        row.flatMap(({ card, pace }) => {
          const place = placeOf(now, card);
          return pace && !pace.fluent && place !== undefined ? [{ place, mark: 'slow' as const }] : [];
        }),
      );
    });
  }
}
